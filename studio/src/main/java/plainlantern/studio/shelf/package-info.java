/** Pictures: their rows, their import, their previews. */
package plainlantern.studio.shelf;
