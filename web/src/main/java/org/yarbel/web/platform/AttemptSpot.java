package org.yarbel.web.platform;

/**
 * Which attempt it is.
 *
 * @param lift a key
 * @param number from 1
 */
public record AttemptSpot(String lift, int number) {

  /** As a note keeps it: {@code squat 2}. */
  String key() {
    return lift + " " + number;
  }
}
