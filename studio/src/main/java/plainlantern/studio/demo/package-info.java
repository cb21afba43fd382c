/** The demo scenario, Kelder Bay Tide Mill: painted pictures and finished sheets. */
package plainlantern.studio.demo;
