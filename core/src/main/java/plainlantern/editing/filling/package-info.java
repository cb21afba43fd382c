/** What panels show: pictures and their places in panels, washes, layers, and the shelf that pictures come from. */
package plainlantern.editing.filling;
