/** What other references would do to the verdicts on the tray, before they are taken in. */
package snikra.server.trial;
