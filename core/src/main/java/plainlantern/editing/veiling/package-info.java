/** Veils: what hides parts of layers and glazes. */
package plainlantern.editing.veiling;
