/** A sheet resolved to the last number: the flat list of what is painted, in order. Every output paints this. */
package plainlantern.scene;
