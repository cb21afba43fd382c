/** What is done to pixels before they are painted: pixels in, pixels out. */
package plainlantern.treating;
