/** The journal of a knife: what was held of it, when, and what made that change. */
package snikra.server.journal;
