package snikra.core.dating;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import snikra.core.clue.Part;
import snikra.core.dating.Evidence.Observed;
import snikra.core.dating.Evidence.Statement;
import snikra.core.wording.Wording;

/** The ways in which a knife may have come to be as it is, in one order, with their states. */
final class Ways {
  /** One way. */
  sealed interface Way {}

  /** A way of the whole knife. */
  enum Whole implements Way {
    AS_MADE,
    OLD_STYLE,
    MARK_UNTRUSTED,
    TWO_AT_ONCE
  }

  /** A part put on later. */
  record Replaced(int part) implements Way {}

  /** A part of older stock. */
  record Older(int part) implements Way {}

  /** A look that was not what it was taken for, or a statement that is not so. */
  record Wrong(int look) implements Way {}

  private final List<Way> ways = new ArrayList<>();
  private final Map<Way, Integer> places = new HashMap<>();
  private final List<State> states = new ArrayList<>();

  Ways(List<Part> parts, List<Look> looks, Evidence evidence) {
    add(Whole.AS_MADE, State.Kind.AS_MADE, null, "as made");
    add(Whole.OLD_STYLE, State.Kind.OLD_STYLE, null, "made later in the old style");
    add(Whole.MARK_UNTRUSTED, State.Kind.MARK_UNTRUSTED, null, "the mark is not to be trusted");
    add(Whole.TWO_AT_ONCE, State.Kind.TWO_AT_ONCE, null, "altered in more than one way");
    for (int k = 0; k < parts.size(); k++) {
      String name = parts.get(k).label().toLowerCase(Locale.ROOT);
      String id = parts.get(k).id();
      add(new Replaced(k), State.Kind.PART_REPLACED, id, name + " replaced");
      add(new Older(k), State.Kind.OLDER_PART, id, "made up with an older " + name + " from stock");
    }
    List<Observed> observed = evidence.observed();
    for (int i = 0; i < looks.size(); i++) {
      if (looks.get(i).misjudged() == null) {
        continue;
      }
      if (i < observed.size()) {
        Observed o = observed.get(i);
        String label =
            Wording.lowerFirst(o.feature().label())
                + ": not "
                + Wording.lowerFirst(o.clue().label());
        add(new Wrong(i), State.Kind.MISJUDGED, o.feature().id(), label);
      } else {
        Statement s = evidence.statements().get(i - observed.size());
        String label = "not true of it: " + Wording.lowerFirst(s.label());
        add(new Wrong(i), State.Kind.UNTRUE, s.id(), label);
      }
    }
  }

  private void add(Way way, State.Kind kind, String of, String label) {
    places.put(way, ways.size());
    ways.add(way);
    states.add(new State(kind, of, label));
  }

  int size() {
    return ways.size();
  }

  State state(int s) {
    return states.get(s);
  }

  List<State> states() {
    return states;
  }

  /** The place of a way; -1 for what is none of them. */
  int place(Way way) {
    return places.getOrDefault(way, -1);
  }

  /** The part that is put on later, in this way. */
  Optional<Integer> replaced(int s) {
    return ways.get(s) instanceof Replaced r ? Optional.of(r.part()) : Optional.empty();
  }

  /** How this way looks on one part. */
  int seenOn(int s, int part) {
    Way way = ways.get(s);
    if (way instanceof Replaced r && r.part() == part) {
      return Outlook.REPLACED;
    }
    if (way instanceof Older o && o.part() == part) {
      return Outlook.OLDER;
    }
    return way == Whole.OLD_STYLE ? Outlook.OLD_STYLE : Outlook.AS_MADE;
  }
}
