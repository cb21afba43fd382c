/** Series: many sheets of one layout, made, looked at, kept like their template and handed over together. */
package plainlantern.studio.series;
