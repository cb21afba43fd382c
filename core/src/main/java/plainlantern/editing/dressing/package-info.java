/** Rims, shadows, finishes with names, and the colours of the palette. */
package plainlantern.editing.dressing;
