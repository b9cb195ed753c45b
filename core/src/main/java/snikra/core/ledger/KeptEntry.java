package snikra.core.ledger;

/** An entry of the ledger, by its id. */
public record KeptEntry(String id, LedgerEntry entry) {}
