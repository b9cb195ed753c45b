package snikra.server.trial;

import java.util.List;
import java.util.Optional;
import snikra.core.condition.School;
import snikra.core.condition.SchoolVerdict;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.Shift;
import snikra.core.examination.Examiner;
import snikra.server.knives.SavedKnife;
import snikra.server.trial.Trial.Moved;
import snikra.server.trial.Trial.Regraded;

/** What may be tried on the tray. */
final class Weighings {
  /** Points that round to the same are the same. */
  private static final double A_POINT = 0.5;

  private Weighings() {}

  /** Other references in place of those in use. */
  static Trial.Weighing references(Examiner now, Examiner then) {
    return knife -> {
      DatingVerdict before = now.date(knife.specimen());
      Shift shift = Shift.between(before, then.date(knife.specimen()));
      return before.explanations().isEmpty() || !shift.tells(now.shelf().judgement())
          ? Optional.empty()
          : Optional.of(new Moved(knife.id(), knife.number(), title(now, knife), shift, null));
    };
  }

  /** A school in place of another. */
  static Trial.Weighing schools(Examiner examiner, School now, School then) {
    return knife -> {
      List<SchoolVerdict> both = examiner.graded(knife.specimen(), List.of(now, then));
      SchoolVerdict.Stand before = both.get(0).best();
      SchoolVerdict.Stand after = both.get(1).best();
      return before == null || isSame(before, after)
          ? Optional.empty()
          : Optional.of(
              new Moved(
                  knife.id(),
                  knife.number(),
                  title(examiner, knife),
                  null,
                  new Regraded(
                      before,
                      after,
                      Math.abs(place(both.get(1), after) - place(both.get(0), before)))));
    };
  }

  private static boolean isSame(SchoolVerdict.Stand before, SchoolVerdict.Stand after) {
    boolean isCounted = before.points() != null && after.points() != null;
    return before.id().equals(after.id())
        && (!isCounted || Math.abs(before.points() - after.points()) < A_POINT);
  }

  // Where on its scale, from 0 the best to 1 the worst: scales of other lengths can be compared.
  private static double place(SchoolVerdict by, SchoolVerdict.Stand stand) {
    List<String> levels = by.chances().stream().map(SchoolVerdict.Chance::id).toList();
    return levels.size() < 2 ? 0 : levels.indexOf(stand.id()) / (levels.size() - 1.0);
  }

  private static String title(Examiner examiner, SavedKnife knife) {
    String own = knife.specimen().title();
    return own == null ? examiner.title(knife.specimen()) : own;
  }
}
