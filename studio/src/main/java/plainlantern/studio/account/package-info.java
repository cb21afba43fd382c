/** Who is who: accounts, sign-in, sign-up, and what a browser may load. */
package plainlantern.studio.account;
