/** The forms of panels: their handles, sides and corners, and cuts. */
package plainlantern.editing.forms;
