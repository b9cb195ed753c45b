package snikra.server.readers;

import org.jspecify.annotations.Nullable;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;
import snikra.formats.KnivesList;
import snikra.server.knives.Catalogue;
import snikra.server.knives.TrayEntry;
import snikra.server.photos.Photo;

/**
 * A knife as a printed catalogue tells of it.
 *
 * @param knife as it lies in the tray, where nothing else is known of one that cannot be read
 * @param country where it was made; null where it is not known
 * @param handle in words
 * @param blades null where none was looked at
 * @param mark the first that was read
 * @param stamped the number on it, as stamped
 * @param photo id of the one that shows it best
 */
record Leaf(
    TrayEntry knife,
    @Nullable String country,
    @Nullable String handle,
    @Nullable Integer blades,
    @Nullable String mark,
    @Nullable String stamped,
    @Nullable String note,
    @Nullable String photo) {

  static Leaf of(Catalogue.Shown shown, @Nullable Photo photo, ReferenceShelf shelf) {
    String picture = photo == null ? null : photo.id();
    return shown
        .listed()
        .map(listed -> of(shown.entry(), listed, picture, shelf))
        .orElseGet(() -> new Leaf(shown.entry(), null, null, null, null, null, null, picture));
  }

  private static Leaf of(
      TrayEntry entry, KnivesList.Listed listed, @Nullable String photo, ReferenceShelf shelf) {
    Specimen knife = listed.knife();
    return new Leaf(
        entry,
        listed.country(),
        KnivesList.handle(knife, shelf),
        knife.blades().isEmpty() ? null : knife.blades().size(),
        KnivesList.mark(knife),
        knife.number(),
        knife.note(),
        photo);
  }
}
