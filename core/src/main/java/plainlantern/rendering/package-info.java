/** Paints a scene: as pixels, as SVG, and as the board of the workbench. */
package plainlantern.rendering;
