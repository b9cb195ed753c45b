package snikra.server.knives;

/** Said when knives came into the tray or went out of it. */
public record TrayChanged() {}
