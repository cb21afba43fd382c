/** What an account may hold, what it holds, and how full that is. */
package plainlantern.studio.quota;
