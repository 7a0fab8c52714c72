package org.yarbel.core.notation;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;

/** What stands behind work and load. */
public sealed interface Option {
  /** The words of the options, in the order of the normal form. */
  enum Kind {
    REST("rest"),
    TEMPO("tempo"),
    CAP("cap");

    private final String word;

    Kind(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  Kind kind();

  /** Rest after each set: {@code rest 90s}, from 1 to 3600 seconds. */
  record Rest(int seconds) implements Option {
    @Override
    public Kind kind() {
      return Kind.REST;
    }

    @Override
    public String toString() {
      return "rest " + time(seconds);
    }
  }

  /**
   * Seconds down, pause, up, pause: {@code tempo 2-1-X-0}.
   *
   * @param figures four, each 0 to 60; null for X, as fast as possible
   */
  record Tempo(List<@Nullable Integer> figures) implements Option {
    public Tempo {
      figures = java.util.Collections.unmodifiableList(new ArrayList<>(figures));
      if (figures.size() != 4) {
        throw new IllegalArgumentException("The tempo must have four figures but had " + figures.size());
      }
    }

    @Override
    public Kind kind() {
      return Kind.TEMPO;
    }

    /** The figures with dashes: {@code 2-1-X-0}. */
    public String text() {
      List<String> written = new ArrayList<>();
      for (Integer figure : figures) {
        written.add(figure == null ? "X" : figure.toString());
      }
      return String.join("-", written);
    }

    @Override
    public String toString() {
      return "tempo " + text();
    }
  }

  /** Stop at this RPE: {@code cap @9}. */
  record Cap(Rpe rpe) implements Option {
    @Override
    public Kind kind() {
      return Kind.CAP;
    }

    @Override
    public String toString() {
      return "cap @" + rpe;
    }
  }

  private static String time(int seconds) {
    return seconds < 120
        ? seconds + "s"
        : seconds / 60 + ":" + (seconds % 60 < 10 ? "0" : "") + seconds % 60;
  }
}
