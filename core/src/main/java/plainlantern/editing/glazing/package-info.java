/** Glazes: what lies beneath them, treated. */
package plainlantern.editing.glazing;
