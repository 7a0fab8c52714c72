package org.yarbel.web.api;

/** Thrown for a body or parameter that is not what the API describes: 400. */
final class NotAsDescribed extends RuntimeException {
  private static final long serialVersionUID = 1;

  NotAsDescribed(String message) {
    super(message, null, false, false);
  }
}
