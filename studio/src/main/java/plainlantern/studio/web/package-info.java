/** What all pages share: errors and their words, and what is refused before it is read. */
package plainlantern.studio.web;
