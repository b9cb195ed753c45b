package snikra.server.knives;

/** A knife that is not in the tray. */
public class NoSuchKnife extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public NoSuchKnife(String id) {
    super("There is no knife " + id + " in the tray.");
  }
}
