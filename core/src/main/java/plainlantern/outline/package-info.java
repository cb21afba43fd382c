/** The forms a panel can have, and their paths as SVG path data. */
package plainlantern.outline;
