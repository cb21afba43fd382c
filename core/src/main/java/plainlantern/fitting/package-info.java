/** How a picture sits in a panel: fits, coverage, slack, zoom, effective ppi, and moves that stay covered. */
package plainlantern.fitting;
