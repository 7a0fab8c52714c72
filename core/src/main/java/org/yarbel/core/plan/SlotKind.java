package org.yarbel.core.plan;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What a slot is for in its session. */
public enum SlotKind {
  PREPARE,
  MAIN,
  SECOND,
  ASSISTANCE,
  CONDITIONING,
  COOL_DOWN;

  /** The word a person reads: {@code cool-down}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** The kind of a word, or of a constant's name; empty for any other text. */
  public static Optional<SlotKind> of(@Nullable String text) {
    return Arrays.stream(values()).filter(kind -> kind.name().equals(text) || kind.word().equalsIgnoreCase(text)).findFirst();
  }

  /** Whether it is a lift the session is about: a main or a second one. */
  public boolean mainWork() {
    return this == MAIN || this == SECOND;
  }

  /** Whether it counts as training and not as getting ready or winding down. */
  public boolean counts() {
    return this != PREPARE && this != COOL_DOWN;
  }
}
