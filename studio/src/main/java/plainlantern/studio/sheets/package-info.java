/** The sheets of an account: their rows, their revisions, the one way to change them, and the page that lists them. */
package plainlantern.studio.sheets;
