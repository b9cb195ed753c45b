package snikra.core.condition;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.ConditionBook.Finding;
import snikra.core.condition.ConditionBook.Point;
import snikra.core.condition.Looked.Doubt;
import snikra.core.condition.School.Level;
import snikra.core.condition.SchoolVerdict.Chance;
import snikra.core.condition.SchoolVerdict.Fault;
import snikra.core.condition.SchoolVerdict.Narrowing;
import snikra.core.condition.SchoolVerdict.Stand;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Sureness;

/**
 * One school at work on one knife. Faults keep company: what was found tells what life the knife
 * had, and that how often what is open is met. After one life points are taken as independent.
 */
abstract class Grading {
  private static final double COUNTS_FROM = 0.5;
  private static final int MOST_NARROWINGS = 3;

  /** What the knife may be after one life, and how likely that life is by what was found. */
  record World(double probability, List<Item> items) {}

  final ConditionBook book;
  final School school;
  private final Looked looked;
  final List<Level> levels;

  /** How bad each finding of a point is; asked for again with every life and every blade. */
  private final Map<String, double[]> bads = new HashMap<>();

  private final Map<String, double[][]> rates = new HashMap<>();
  private final Map<String, String> losses = new HashMap<>();

  Grading(ConditionBook book, School school, Looked looked) {
    this.book = book;
    this.school = school;
    this.looked = looked;
    this.levels = book.levels(school);
  }

  /** All that a school makes of a knife. */
  static SchoolVerdict by(ConditionBook book, School school, Looked looked) {
    return of(book, school, looked).verdict(true);
  }

  /** The same without chances and what would narrow them, for those who list many knives. */
  static SchoolVerdict brief(ConditionBook book, School school, Looked looked) {
    return of(book, school, looked).verdict(false);
  }

  private static Grading of(ConditionBook book, School school, Looked looked) {
    return school.kind() == School.Kind.POINTS
        ? new ByPoints(book, school, looked)
        : new ByWorstFault(book, school, looked);
  }

  /** How bad a finding of a point is, of the main blade or the whole knife. */
  abstract double bad(Point point, Finding finding);

  /** How bad it is that something was done. */
  abstract double bad(Alteration alteration);

  /** How bad it is on a blade that is not the main one. */
  abstract double milder(double bad);

  abstract Stand stand(List<Item> items, Item.Counted which);

  abstract double[] chances(List<Item> items);

  /** The likeliest, or the mean, over all that the knife may have been through. */
  abstract Stand likely(double[] chances, List<World> worlds);

  /** How much of what is open each would settle, by place; 0 for what is sure. */
  abstract double[] gains(List<Item> items);

  private SchoolVerdict verdict(boolean whole) {
    double[] lives = whole ? lives() : new double[book.lives().size()];
    List<Item> each = items(lives);
    List<Item> items = together(each);
    List<Fault> reasons =
        each.stream()
            .filter(i -> i.fault() != null)
            .sorted(Comparator.comparingDouble(Item::foundOrNone).reversed())
            .map(i -> i.fault().counted(isWorstOfLoss(i, each)))
            .toList();
    int open = (int) each.stream().filter(i -> i.found() == null && !i.options().isEmpty()).count();
    if (!looked.isAnything()) {
      return new SchoolVerdict(
          school.id(),
          school.kind(),
          school.label(),
          school.about(),
          null,
          null,
          null,
          null,
          List.of(),
          reasons,
          List.of(),
          open);
    }
    double[] chances = new double[levels.size()];
    List<World> worlds = whole ? worlds(lives) : List.of();
    for (World world : worlds) {
      double[] then = chances(world.items());
      for (int g = 0; g < chances.length; g++) {
        chances[g] += world.probability() * then[g];
      }
    }
    return new SchoolVerdict(
        school.id(),
        school.kind(),
        school.label(),
        school.about(),
        stand(items, Item.Counted.FOUND),
        stand(items, Item.Counted.ORDINARY),
        stand(items, Item.Counted.FOUND_SURELY),
        whole ? likely(chances, worlds) : null,
        whole ? told(chances) : List.of(),
        reasons,
        whole ? narrows(each) : List.of(),
        open);
  }

  private List<World> worlds(double[] lives) {
    List<World> worlds = new ArrayList<>();
    for (int l = 0; l < lives.length; l++) {
      double[] alone = new double[lives.length];
      alone[l] = 1;
      worlds.add(new World(lives[l], together(items(alone))));
    }
    return worlds;
  }

  private List<Chance> told(double[] chances) {
    List<Chance> told = new ArrayList<>();
    for (int i = 0; i < levels.size(); i++) {
      told.add(new Chance(levels.get(i).id(), levels.get(i).label(), chances[i]));
    }
    return told;
  }

  // Of two that are as bad, the first in the book is counted.
  private boolean isWorstOfLoss(Item item, List<Item> each) {
    Item worst = item;
    for (Item i : each) {
      if (isOneLoss(i, item) && i.foundOrNone() > worst.foundOrNone()) {
        worst = i;
      }
    }
    Item leading = worst;
    return each.stream()
        .filter(i -> isOneLoss(i, item))
        .filter(i -> i.foundOrNone() == leading.foundOrNone())
        .findFirst()
        .filter(item::equals)
        .isPresent();
  }

  private boolean isOneLoss(Item item, Item other) {
    return item.blade() == other.blade() && lossOf(item).equals(lossOf(other));
  }

  private String lossOf(Item item) {
    return losses.computeIfAbsent(item.of(), book::lossOf);
  }

  /** What is lost, and of which blade. */
  private record Loss(String of, int blade) {}

  private List<Narrowing> narrows(List<Item> items) {
    double[] gains = gains(items);
    List<Narrowing> narrows = new ArrayList<>();
    for (int i = 0; i < gains.length; i++) {
      Item item = items.get(i);
      if (item.isOpen() && !item.station().isEmpty() && gains[i] > 0) {
        narrows.add(new Narrowing(item.of(), item.blade(), item.station(), item.label(), gains[i]));
      }
    }
    return narrows.stream()
        .sorted(Comparator.comparingDouble((Narrowing n) -> -n.gain()))
        .limit(MOST_NARROWINGS)
        .toList();
  }

  // Faults that are one loss, such as a blade worn and shortened, count as the worst of them.
  private List<Item> together(List<Item> each) {
    Map<Loss, List<Item>> groups = new LinkedHashMap<>();
    for (Item i : each) {
      groups.computeIfAbsent(new Loss(lossOf(i), i.blade()), g -> new ArrayList<>(1)).add(i);
    }
    List<Item> together = new ArrayList<>();
    for (List<Item> group : groups.values()) {
      if (group.size() > 1) {
        group.sort(Comparator.comparingInt(i -> book.placeInLoss(i.of())));
      }
      together.add(group.size() > 1 ? Item.worstOf(group) : group.get(0));
    }
    return together;
  }

  /** How likely each life is by what was found of the knife and its blades. */
  private double[] lives() {
    double[] lives = new double[book.lives().size()];
    double sum = 0;
    for (int l = 0; l < lives.length; l++) {
      lives[l] = book.lives().get(l).share();
    }
    for (Point p : book.points()) {
      for (int blade = 1; blade < looked.otherBlades().size() + 2; blade++) {
        Seen<String> seen = blade > 1 && !p.isEachBlade() ? null : looked.of(p.id(), blade);
        Finding found = p.isBeside(looked.seen()) ? null : p.found(seen);
        if (found != null) {
          double[] times = times(p, found, seen.sureness());
          for (int l = 0; l < lives.length; l++) {
            lives[l] *= times[l];
          }
        }
      }
    }
    for (double life : lives) {
      sum += life;
    }
    for (int l = 0; l < lives.length; l++) {
      lives[l] /= sum;
    }
    return lives;
  }

  // How much oftener it is found after each life than on any old knife; a look that is not sure
  // says nothing where it errs.
  private double[] times(Point p, Finding found, Sureness sureness) {
    double trusted = trusted(sureness);
    int at = place(p, found.id());
    double any = 0;
    double[] times = new double[book.lives().size()];
    for (int l = 0; l < times.length; l++) {
      times[l] = rates(p)[l][at];
      any += book.lives().get(l).share() * times[l];
    }
    for (int l = 0; l < times.length; l++) {
      times[l] = any > 0 ? trusted * times[l] / any + 1 - trusted : 1;
    }
    return times;
  }

  private double trusted(@Nullable Sureness sureness) {
    return sureness == null ? 0 : sureness == Sureness.SURE ? 1 : looked.reliability().of(sureness);
  }

  private List<Item> items(double[] lives) {
    List<Item> items = new ArrayList<>();
    for (Point p : book.points()) {
      if (p.isBeside(looked.seen())) {
        continue;
      }
      items.add(item(p, p.isEachBlade() ? 1 : 0, lives));
      for (int blade = 2; p.isEachBlade() && blade < looked.otherBlades().size() + 2; blade++) {
        items.add(item(p, blade, lives));
      }
    }
    for (Doubt d : looked.doubts()) {
      if (bad(d.alteration()) > 0) {
        items.add(item(d));
      }
    }
    return items;
  }

  private Item item(Point p, int blade, double[] lives) {
    Seen<String> seen = looked.of(p.id(), blade);
    Finding found = p.found(seen);
    Sureness sureness = found == null ? null : seen.sureness();
    double bad = found == null ? 0 : at(blade, bads(p)[place(p, found.id())]);
    String label = blade > 1 ? p.label() + " of blade " + blade : p.label();
    return new Item(
        p.id(),
        blade,
        p.station(),
        label,
        p.part(),
        found == null ? null : bad,
        sureness == Sureness.SURE ? bad : 0,
        sureness == Sureness.SURE ? 0 : at(blade, usual(p)),
        sureness != Sureness.SURE,
        options(p, blade, found, sureness, lives),
        bad > 0
            ? new Fault(
                p.id(),
                blade,
                label,
                found.label(),
                sureness,
                1,
                allows(bad),
                loses(bad),
                true,
                p.part(),
                found.why())
            : null);
  }

  private double usual(Point p) {
    return bads(p)[place(p, p.usualFault())];
  }

  private static int place(Point p, String finding) {
    for (int f = 0; f < p.findings().size(); f++) {
      if (p.findings().get(f).id().equals(finding)) {
        return f;
      }
    }
    return 0;
  }

  /** How often each finding of a point is met, by life. */
  private double[][] rates(Point p) {
    return rates.computeIfAbsent(
        p.id(), id -> book.lives().stream().map(l -> l.rates(p)).toArray(double[][]::new));
  }

  private double[] bads(Point p) {
    return bads.computeIfAbsent(
        p.id(), id -> p.findings().stream().mapToDouble(f -> bad(p, f)).toArray());
  }

  private double at(int blade, double bad) {
    return blade > 1 && bad > 0 ? milder(bad) : bad;
  }

  private List<Item.Option> options(
      Point p, int blade, @Nullable Finding found, @Nullable Sureness sureness, double[] lives) {
    double trusted = found == null ? 0 : trusted(sureness);
    int at = found == null ? -1 : place(p, found.id());
    double[] shares = new double[p.findings().size()];
    for (int l = 0; l < lives.length; l++) {
      if (lives[l] == 0) {
        continue;
      }
      double[] rates = rates(p)[l];
      double others = at < 0 ? 1 : 1 - rates[at];
      for (int f = 0; f < rates.length; f++) {
        double share = f == at ? trusted : others <= 0 ? 0 : (1 - trusted) * rates[f] / others;
        shares[f] += lives[l] * share;
      }
    }
    List<Item.Option> options = new ArrayList<>();
    for (int f = 0; f < shares.length; f++) {
      if (shares[f] > 0) {
        options.add(new Item.Option(at(blade, bads(p)[f]), shares[f]));
      }
    }
    return options;
  }

  // What may have been done is found where it is likelier than not, and a spread in any case.
  private Item item(Doubt d) {
    Alteration a = d.alteration();
    double bad = bad(a);
    boolean counts = d.probability() >= COUNTS_FROM;
    return new Item(
        a.id(),
        1,
        "",
        a.label(),
        "originality",
        counts ? bad : 0,
        0,
        bad,
        true,
        List.of(new Item.Option(bad, d.probability()), new Item.Option(0, 1 - d.probability())),
        counts
            ? new Fault(
                a.id(),
                0,
                a.label(),
                "",
                Sureness.LIKELY,
                d.probability(),
                allows(bad),
                loses(bad),
                true,
                "originality",
                a.why())
            : null);
  }

  /** The level a fault lets pass, where the worst fault sets it. */
  abstract School.@Nullable Level allows(double bad);

  /** The points a fault takes, where points are counted. */
  abstract @Nullable Double loses(double bad);

  /** What this school lets pass, where it does not hold what most do. */
  @Nullable String cap(String of, String finding) {
    return school.caps().getOrDefault(of, Map.of()).get(finding);
  }

  @Nullable String capDone(Alteration a) {
    String own = cap(a.id(), ConditionBook.DONE);
    return own == null && school.levels() == null ? a.cap() : own;
  }
}
