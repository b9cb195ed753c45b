package snikra.server.photos;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.formats.InvalidInput;

/**
 * Tells by the names of files which knives photographs are of and what they show. A name begins
 * with the number of the knife, or its words find one knife alone; else its folder is asked.
 */
public class PhotoNames {
  static final int AT_ONCE = 1000;
  private static final int LONGEST = 300;

  private static final Pattern NUMBERED =
      Pattern.compile("(?:no|nr|number|knife)?[ .#-]*0{0,6}([1-9]\\d{0,5})(?![\\d.])");
  private static final Pattern ENDING = Pattern.compile("\\.[a-z0-9]{1,5}$");
  private static final Pattern BETWEEN = Pattern.compile("[_+(){}\\[\\]]+");
  // "front 2", "front-b": one of several, which says nothing of the knife.
  private static final Pattern COUNTED = Pattern.compile("[ -]+(?:\\d{1,2}|[a-e])$");

  private final Supplier<Map<Integer, String>> byNumber;
  private final Function<String, List<String>> byWords;

  /**
   * A reader of names.
   *
   * @param byNumber ids of the knives in the tray
   * @param byWords ids of the knives a search finds
   */
  public PhotoNames(
      Supplier<Map<Integer, String>> byNumber, Function<String, List<String>> byWords) {
    this.byNumber = byNumber;
    this.byWords = byWords;
  }

  /**
   * A file and what its name tells.
   *
   * @param knife null where it does not tell
   */
  public record NamedPhoto(String name, @Nullable String knife, PhotoRole role) {}

  /** What each name tells, in their order; a name may have folders before it. */
  public List<NamedPhoto> read(List<String> names) {
    if (names.size() > AT_ONCE) {
      throw new InvalidInput(
          List.of(new Problem("names", names.size() + " names", "must be at most " + AT_ONCE)));
    }
    Map<Integer, String> numbers = byNumber.get();
    Map<String, @Nullable String> known = new HashMap<>();
    List<NamedPhoto> told = new ArrayList<>();
    for (String name : names) {
      List<String> parts = parts(name);
      String file = parts.isEmpty() ? "" : parts.get(parts.size() - 1);
      String knife = null;
      for (int i = parts.size() - 1; i >= 0 && knife == null; i--) {
        String part = parts.get(i);
        if (!known.containsKey(part)) {
          known.put(part, knife(part, numbers));
        }
        knife = known.get(part);
      }
      told.add(new NamedPhoto(name, knife, role(file)));
    }
    return told;
  }

  private static List<String> parts(String name) {
    String told = name.length() > LONGEST ? name.substring(name.length() - LONGEST) : name;
    return Pattern.compile("[/\\\\]")
        .splitAsStream(told)
        .map(p -> ENDING.matcher(p.toLowerCase(Locale.ROOT)).replaceFirst(""))
        .map(p -> BETWEEN.matcher(p).replaceAll(" ").strip())
        .toList();
  }

  private @Nullable String knife(String part, Map<Integer, String> numbers) {
    Matcher numbered = NUMBERED.matcher(part);
    if (numbered.lookingAt()) {
      String id = numbers.get(Integer.valueOf(numbered.group(1)));
      if (id != null) {
        return id;
      }
    }
    String words = COUNTED.matcher(part).replaceFirst("");
    for (PhotoRole role : PhotoRole.values()) {
      words = role.words().matcher(words).replaceAll(" ");
    }
    words = COUNTED.matcher(words.strip()).replaceFirst("").strip();
    if (words.chars().filter(Character::isLetter).count() < 3) {
      return null;
    }
    List<String> found = byWords.apply(words);
    return found.size() == 1 ? found.get(0) : null;
  }

  private static PhotoRole role(String file) {
    for (PhotoRole role : PhotoRole.values()) {
      if (role.words().matcher(file).find()) {
        return role;
      }
    }
    return PhotoRole.OTHER;
  }
}
