package snikra.core.examination;

/**
 * Something in the input that cannot be used.
 *
 * @param field where, as a path
 * @param given what stands there
 * @param accepted what could
 */
public record Problem(String field, String given, String accepted) {}
