/**
 * What was paid, what came back, and what the knives that stayed have cost: exact to the smallest
 * coin. Amounts are never negative but where a swap brought money, and nothing is rounded but once,
 * where one currency becomes another.
 */
@org.jspecify.annotations.NullMarked
package snikra.core.ledger;
