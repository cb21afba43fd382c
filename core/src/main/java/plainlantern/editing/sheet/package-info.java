/** The sheet itself: its name, size, paper, guides and limits. */
package plainlantern.editing.sheet;
