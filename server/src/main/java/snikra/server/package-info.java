/**
 * The application: starts, refuses to start with a plain sentence, and wires the parts together.
 */
package snikra.server;
