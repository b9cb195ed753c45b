package snikra.server.journal;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.dating.Span;
import snikra.core.examination.WhatChanged.Learned;

/**
 * One entry of a journal.
 *
 * @param until when it was last added to
 * @param opinion what Snikra held then
 * @param changes what was known otherwise than at the entry before
 * @param because what the changes did
 * @param referencesMoved whether other references alone had moved the opinion meanwhile
 * @param own what the collector wrote; null where the entry is of a sitting
 */
public record JournalEntry(
    String id,
    Instant at,
    Instant until,
    Opinion opinion,
    List<Learned> changes,
    List<String> because,
    boolean referencesMoved,
    @Nullable Own own) {

  /**
   * What Snikra held.
   *
   * @param title what the knife is called
   * @param span null where nothing that dates it was looked at
   */
  public record Opinion(
      String title, String strength, String headline, double probability, @Nullable Span span) {}

  /**
   * What the collector wrote.
   *
   * @param question whether it is still open
   * @param held years of make held by the collector, as written; null where none are
   * @param probability what Snikra gave those years then
   */
  public record Own(
      String note,
      boolean question,
      @Nullable String held,
      @Nullable Integer from,
      @Nullable Integer to,
      @Nullable Double probability) {}
}
