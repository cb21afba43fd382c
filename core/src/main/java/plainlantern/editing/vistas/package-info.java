/** One picture seen through several panels. */
package plainlantern.editing.vistas;
