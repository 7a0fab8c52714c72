package org.yarbel.core.notation;

import java.util.Locale;
import java.util.Optional;

/** The number of a lifter that a percentage is of. */
public enum Basis {
  /** The tested max: what was lifted on its date. */
  TESTED("tested", "tested"),
  /** The estimated max, tracked from the log. */
  ESTIMATED("est", "estimated"),
  /** The training max, a set share of the estimated one. */
  TRAINING("tm", "training"),
  /** The goal max of a date to come. */
  GOAL("goal", "goal"),
  /** Today's max, from the top set once it is logged. */
  TODAY("today", "today");

  private final String word;
  private final String key;

  Basis(String word, String key) {
    this.word = word;
    this.key = key;
  }

  /** The word in the notation: {@code est}. */
  public String word() {
    return word;
  }

  /** The name in the API and in sentences: {@code estimated}. */
  public String key() {
    return key;
  }

  static Optional<Basis> ofWord(String word) {
    for (Basis basis : values()) {
      if (basis.word.equals(word)) {
        return Optional.of(basis);
      }
    }
    return Optional.empty();
  }

  /** The basis with this API name, in small letters. */
  public static Optional<Basis> ofKey(String key) {
    for (Basis basis : values()) {
      if (basis.key.equals(key.toLowerCase(Locale.ROOT))) {
        return Optional.of(basis);
      }
    }
    return Optional.empty();
  }
}
