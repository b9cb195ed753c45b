/** The shelf to look things up in: what the interface offers to choose from. */
package snikra.server.reference;
