/**
 * Instruments: stand-ins for a caliper, a pull gauge and a scale, and an open line format by which
 * a small bridge can post what real ones read. {@link snikra.server.devices.InstrumentDesk} is the
 * way in.
 */
package snikra.server.devices;
