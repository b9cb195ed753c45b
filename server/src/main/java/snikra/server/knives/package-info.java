/** Knives that are kept: saved as they were found, judged anew whenever they are looked at. */
package snikra.server.knives;
