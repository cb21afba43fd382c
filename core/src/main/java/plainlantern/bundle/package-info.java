/** The open file format of a whole sheet with its pictures, and the command that renders one without a server. */
package plainlantern.bundle;
