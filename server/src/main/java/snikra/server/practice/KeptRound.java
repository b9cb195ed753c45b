package snikra.server.practice;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import snikra.core.practice.Dealt;
import snikra.core.practice.Guess;
import snikra.core.practice.Truth;
import snikra.core.practice.Unveiled;
import snikra.formats.Json;
import snikra.formats.SpecimenFormat;

/**
 * A round as it is kept.
 *
 * @param day on which it was dealt
 * @param number among those of its kind that day, from 1
 * @param knife as it is written; null once it was unveiled, when only what came of it is kept
 * @param truth what is so; null once it was unveiled
 * @param looked ids of the looks that were taken
 */
record KeptRound(
    String player,
    Kind kind,
    LocalDate day,
    int number,
    @Nullable String knife,
    @Nullable Truth truth,
    List<String> looked,
    @Nullable Guess guess,
    @Nullable Unveiled unveiled) {

  /** What is dealt. */
  enum Kind {
    /** The same few for everyone that day. */
    TODAY,
    /** Any. */
    MORE,
    /** Of what one gets wrong. */
    DRILL,
    /** One on file. */
    MINE,
    /** A described one, to grade. */
    GRADE;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  static KeptRound read(PracticeEntity kept) {
    return Json.mapper().readValue(kept.content(), KeptRound.class);
  }

  String written() {
    return Json.mapper().writeValueAsString(this);
  }

  boolean isOf(String name) {
    return player.equalsIgnoreCase(name.strip());
  }

  boolean isOpen() {
    return unveiled == null;
  }

  /** The knife it is of; only while it is open. */
  Dealt dealt() {
    if (knife == null || truth == null) {
      throw new IllegalStateException("It was unveiled.");
    }
    return new Dealt(SpecimenFormat.readKept(knife), truth);
  }

  KeptRound afterLook(String look) {
    List<String> more = new ArrayList<>(looked);
    more.add(look);
    return new KeptRound(player, kind, day, number, knife, truth, more, guess, unveiled);
  }

  KeptRound afterGuess(Guess by, Unveiled came) {
    return new KeptRound(player, kind, day, number, null, null, looked, by, came);
  }
}
