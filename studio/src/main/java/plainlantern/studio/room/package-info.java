/** Memory and processes that are shared out fairly between accounts. */
package plainlantern.studio.room;
