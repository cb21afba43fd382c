/** Tables of colours that members bring: checked, kept, and given to whoever paints. */
package plainlantern.studio.tables;
