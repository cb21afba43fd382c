/** What all pages share: errors and their words. */
package plainlantern.studio.web;
