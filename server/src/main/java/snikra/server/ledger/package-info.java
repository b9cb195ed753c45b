/** The ledger: kept entry by entry, with every state an entry was in. */
@NullMarked
package snikra.server.ledger;

import org.jspecify.annotations.NullMarked;
