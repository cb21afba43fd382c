/** Handing a sheet over: pictures of it, and bundles. */
package plainlantern.studio.deliver;
