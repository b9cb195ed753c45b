/**
 * Safe keeping: what was acknowledged is on the disk and not merely on its way, a full disk is told
 * before anything breaks, copies are made by themselves and brought back, and what is damaged is
 * said to be. Start with {@link snikra.server.keeping.Disk}, then {@link
 * snikra.server.keeping.Backups}.
 */
package snikra.server.keeping;
