/** Veils: what hides parts of pictures and glazes. */
package plainlantern.editing.veiling;
