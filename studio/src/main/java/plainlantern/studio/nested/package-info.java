/** Sheets as pictures in other sheets: drawn, kept fresh, never in a circle. */
package plainlantern.studio.nested;
