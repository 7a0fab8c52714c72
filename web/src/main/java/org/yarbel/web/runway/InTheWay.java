package org.yarbel.web.runway;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;

/** Lines somebody has written on days that a long plan would write into, and what may become of them. */
final class InTheWay {
  private InTheWay() {}

  /** A line in the way. */
  record LineInTheWay(long slotId, LocalDate day, String lift, String work) {}

  /** What becomes of the lines in the way. */
  enum Way {
    REPLACE("replace", "Take them out; Undo brings them back"),
    JOIN("join", "Keep them beside what the plan writes"),
    AFTER("after", "Keep them, and start the plan the week after");

    private final String key;
    private final String words;

    Way(String key, String words) {
      this.key = key;
      this.words = words;
    }

    public String key() {
      return key;
    }

    public String words() {
      return words;
    }

    static Optional<Way> ofKey(String key) {
      return Arrays.stream(values()).filter(way -> way.key.equals(key)).findFirst();
    }
  }
}
