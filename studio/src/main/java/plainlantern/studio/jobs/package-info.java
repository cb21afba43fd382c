/** Short work in the background, shared by all nodes. */
package plainlantern.studio.jobs;
