/** Pictures and vistas in planes that are seen at an angle: their four corners, and what follows from them. */
package plainlantern.editing.mounting;
