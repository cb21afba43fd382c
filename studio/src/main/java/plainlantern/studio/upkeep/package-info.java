/** What goes by itself: deleted sheets, pictures that nobody uses, erased accounts. */
package plainlantern.studio.upkeep;
