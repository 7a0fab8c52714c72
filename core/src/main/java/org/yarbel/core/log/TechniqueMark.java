package org.yarbel.core.log;

import java.util.Optional;

/** Something that was seen of how a rep was lifted; common practice, no source. */
public enum TechniqueMark {
  DEPTH("depth"),
  KNEES_IN("knees in"),
  HEELS_UP("heels up"),
  FOLDS_FORWARD("folds forward"),
  HIPS_FIRST("hips first"),
  SHIFT("shift to a side"),
  OFF_MIDFOOT("bar off midfoot"),
  BOUNCED("bounced"),
  PAUSE_SHORT("pause short"),
  UNEVEN("uneven"),
  ELBOWS("elbows"),
  BUTTOCKS_OFF("buttocks off"),
  DRIFTS("bar drifts"),
  SLOW_LOCK_OUT("slow lock-out"),
  SLOW_OFF_THE_FLOOR("off the floor slow"),
  UPPER_BACK("upper back"),
  LOWER_BACK("lower back"),
  OFF_THE_LEGS("bar off the legs"),
  SOFT_LOCK_OUT("soft lock-out"),
  HITCH("hitch"),
  GRIP("grip"),
  LAYBACK("layback"),
  FORWARD("bar forward"),
  DROPPED("dropped"),
  STOPPED("stopped"),
  FOOTING("footing"),
  SLOW_PICK("pick slow"),
  SLOW_LAP("lap slow"),
  MISSED_THE_TURN("missed the turn"),
  OTHER("other");

  private final String word;

  TechniqueMark(String word) {
    this.word = word;
  }

  /** The words a person reads: {@code knees in}. */
  public String word() {
    return word;
  }

  /** What is to be minded at once; empty for most. */
  public Optional<String> caution() {
    return this == LOWER_BACK ? Optional.of("A lower back that rounds under load: stop, and go lighter.") : Optional.empty();
  }
}
