package snikra.server.photos;

import java.io.IOException;

/** Photographs for tests. */
public final class TestPictures {
  private TestPictures() {}

  /** A small photograph. */
  public static byte[] png() throws IOException {
    return PictureTest.picture("png", 60, 60);
  }

  /** Keeps a small photograph of a knife and gives back its id. */
  public static String add(PhotoService photos, String knife) throws IOException {
    return photos.add(knife, PhotoRole.OTHER, "kept.png", png()).id();
  }
}
