package snikra.server.knives;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import snikra.core.examination.Problem;
import snikra.formats.InvalidInput;
import snikra.formats.Json;

/** Keeps searches of the tray one comes back to. */
public class SavedSearches {
  private static final int MOST = 50;
  private static final int LONGEST_NAME = 60;

  private final SavedSearchRepository searches;
  private final Catalogue catalogue;
  private final TransactionTemplate transaction;

  public SavedSearches(
      SavedSearchRepository searches,
      Catalogue catalogue,
      PlatformTransactionManager transactions) {
    this.searches = searches;
    this.catalogue = catalogue;
    this.transaction = new TransactionTemplate(transactions);
  }

  /**
   * A search by its name.
   *
   * @param q plain words
   * @param in what is ticked, as facet:value
   */
  record NamedSearch(String name, @Nullable String q, @Nullable List<String> in) {}

  /**
   * A search that is kept.
   *
   * @param found how many knives answer to it now
   */
  record KeptSearch(String id, String name, String q, List<String> in, int found) {}

  /** All of them, in the order in which they were first kept. */
  List<KeptSearch> all() {
    return searches.findAllByOrderByMadeAtAscIdAsc().stream().map(this::told).toList();
  }

  private KeptSearch told(SavedSearchEntity kept) {
    NamedSearch search = Json.mapper().readValue(kept.content(), NamedSearch.class);
    FoundBy by = by(search);
    int found = catalogue.find(by).hits().size();
    return new KeptSearch(kept.id(), search.name(), by.words(), in(search), found);
  }

  /** Keeps a search under an id of the sender's own, or changes it. */
  KeptSearch keep(UUID id, NamedSearch search) {
    String name = search.name() == null ? "" : search.name().strip();
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      throw refused("name", name, "must be 1 to " + LONGEST_NAME + " letters");
    }
    FoundBy by = by(search);
    if (by.words().isEmpty() && by.ticked().isEmpty()) {
      throw refused("q", "nothing", "must be words to search for, or in must name what is ticked");
    }
    String content =
        Json.mapper().writeValueAsString(new NamedSearch(name, by.words(), in(search)));
    return transaction.execute(
        status -> {
          SavedSearchEntity kept = searches.findById(id.toString()).orElse(null);
          if (kept == null && searches.count() >= MOST) {
            throw refused("name", name, "at most " + MOST + " searches are kept: remove one");
          }
          if (kept == null) {
            kept = new SavedSearchEntity(id.toString(), content, Instant.now());
          } else {
            kept.setContent(content);
          }
          return told(searches.save(kept));
        });
  }

  /** Lets go of a search; kept again under its id it is there again. */
  void remove(UUID id) {
    transaction.executeWithoutResult(status -> searches.deleteById(id.toString()));
  }

  private static FoundBy by(NamedSearch search) {
    String words = Objects.requireNonNullElse(search.q(), "").strip();
    return FoundBy.of(words, in(search).toArray(new String[0]));
  }

  private static List<String> in(NamedSearch search) {
    return Objects.requireNonNullElse(search.in(), List.of());
  }

  private static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }
}
