package org.yarbel.core.notation;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;

/** What stands behind work and load. */
public sealed interface Option {
  /** The words of the options, in the order of the normal form, and the work each may stand with. */
  enum Kind {
    IN("in", "in 10:00", "the time it has to be done in", EnumSet.of(WorkKind.DENSITY, WorkKind.CARRY, WorkKind.SERIES)),
    GAP("gap", "gap 20s", "between the singles of a round", EnumSet.of(WorkKind.CLUSTER)),
    EVERY("every", "every 90s", "from one start to the next", EnumSet.of(WorkKind.EMOM)),
    REST("rest", "rest 2:00", "after each set", EnumSet.allOf(WorkKind.class)),
    TEMPO("tempo", "tempo 3-1-X-0", "seconds down, pause, up, pause", EnumSet.allOf(WorkKind.class)),
    TURNS("turns", "turns 1", "how often the carry turns round", EnumSet.of(WorkKind.CARRY)),
    CAP("cap", "cap @9", "stop the set there",
        EnumSet.complementOf(EnumSet.of(WorkKind.BUILD, WorkKind.WARM, WorkKind.SERIES))),
    UNTIL("until", "until @9", "more sets until then, at most as many as written",
        EnumSet.of(WorkKind.SETS, WorkKind.EMOM, WorkKind.HOLD, WorkKind.CARRY, WorkKind.TIMED)),
    CHAINS("chains", "chains 15kg", "what they weigh at lock-out", EnumSet.allOf(WorkKind.class)),
    BANDS("bands", "bands 10>40kg", "their pull at the bottom, then at lock-out", EnumSet.allOf(WorkKind.class)),
    REVERSE("reverse", "reverse 36kg", "what the bands hold at the bottom", EnumSet.allOf(WorkKind.class)),
    AT("at", "at top", "where the % or RPE is meant, at top or at bottom", EnumSet.allOf(WorkKind.class));

    private final String word;
    private final String example;
    private final String meaning;
    private final Set<WorkKind> on;

    Kind(String word, String example, String meaning, Set<WorkKind> on) {
      this.word = word;
      this.example = example;
      this.meaning = meaning;
      this.on = Collections.unmodifiableSet(on);
    }

    public String word() {
      return word;
    }

    /** The option as it could be written. */
    public String example() {
      return example;
    }

    /** What it says, in a few words. */
    public String meaning() {
      return meaning;
    }

    /** The kinds of work it means something with. */
    public Set<WorkKind> on() {
      return on;
    }

    /** Whether that work means nothing without it. */
    public boolean neededBy(WorkKind work) {
      return this == GAP && work == WorkKind.CLUSTER || this == IN && work == WorkKind.DENSITY;
    }

    /** Whether it makes the load at the bottom and at the top differ from the bar. */
    public boolean changesLoadOnTheWay() {
      return this == CHAINS || this == BANDS || this == REVERSE;
    }

    static Optional<Kind> ofWord(String word) {
      for (Kind kind : values()) {
        if (kind.word.equals(word)) {
          return Optional.of(kind);
        }
      }
      return Optional.empty();
    }
  }

  Kind kind();

  /** The time it has to be done in: {@code in 10:00}, from 1 to 3600 seconds. */
  record In(int seconds) implements Option {
    @Override
    public Kind kind() {
      return Kind.IN;
    }

    @Override
    public String toString() {
      return "in " + time(seconds);
    }
  }

  /** From setting the bar down to the next start: {@code gap 20s}, from 1 to 3600 seconds. */
  record Gap(int seconds) implements Option {
    @Override
    public Kind kind() {
      return Kind.GAP;
    }

    @Override
    public String toString() {
      return "gap " + time(seconds);
    }
  }

  /** From one start to the next: {@code every 90s}, from 1 to 3600 seconds. */
  record Every(int seconds) implements Option {
    @Override
    public Kind kind() {
      return Kind.EVERY;
    }

    @Override
    public String toString() {
      return "every " + time(seconds);
    }
  }

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
      figures = Collections.unmodifiableList(new ArrayList<>(figures));
      if (figures.size() != 4) {
        throw new Refused("The tempo must have four figures but had " + figures.size());
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

  /** How often a carry turns round: {@code turns 1}, 1 to 100. */
  record Turns(int count) implements Option {
    @Override
    public Kind kind() {
      return Kind.TURNS;
    }

    @Override
    public String toString() {
      return "turns " + count;
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

  /**
   * Up to so many sets until an RPE, or until a set's own estimate is so far under the day's best: {@code until @9},
   * {@code until -5%}.
   *
   * @param rpe null when {@code percent} is given
   * @param percent over 0, under 100; null when {@code rpe} is given
   */
  record Until(@Nullable Rpe rpe, @Nullable BigDecimal percent) implements Option {
    public Until {
      if ((rpe == null) == (percent == null)) {
        throw new Refused("The end must be either an RPE or a percentage");
      }
    }

    /** Where it ends: {@code @9} or {@code -5%}. */
    public String text() {
      return rpe != null ? "@" + rpe : "-" + Objects.requireNonNull(percent).toPlainString() + "%";
    }

    @Override
    public Kind kind() {
      return Kind.UNTIL;
    }

    @Override
    public String toString() {
      return "until " + text();
    }
  }

  /** Chains that weigh so much at lock-out and nothing at the bottom: {@code chains 15kg}. */
  record Chains(Mass mass) implements Option {
    @Override
    public Kind kind() {
      return Kind.CHAINS;
    }

    @Override
    public String toString() {
      return "chains " + Load.written(mass);
    }
  }

  /**
   * Bands that pull down: {@code bands 10>40kg}.
   *
   * @param slack their pull at the bottom; may be nothing, never over {@code lockOut}
   * @param lockOut their pull at lock-out
   */
  record Bands(Mass slack, Mass lockOut) implements Option {
    public Bands {
      if (slack.compareTo(lockOut) > 0) {
        throw new Refused("Bands pull more at lock-out than at the bottom");
      }
    }

    @Override
    public Kind kind() {
      return Kind.BANDS;
    }

    @Override
    public String toString() {
      return "bands " + slack.number() + ">" + Load.written(lockOut);
    }
  }

  /** Bands that help from above and hold so much at the bottom, nothing at lock-out: {@code reverse 36kg}. */
  record Reverse(Mass held) implements Option {
    @Override
    public Kind kind() {
      return Kind.REVERSE;
    }

    @Override
    public String toString() {
      return "reverse " + Load.written(held);
    }
  }

  /** Where on the way a % or RPE is meant. */
  enum Point {
    TOP,
    BOTTOM
  }

  /** The % or RPE means the load at that point, and the bar follows from it: {@code at top}. */
  record At(Point point) implements Option {
    @Override
    public Kind kind() {
      return Kind.AT;
    }

    @Override
    public String toString() {
      return point == Point.TOP ? "at top" : "at bottom";
    }
  }

  /** A time as it is written: under two minutes in seconds, else minutes and seconds. */
  static String time(int seconds) {
    return seconds < 120
        ? seconds + "s"
        : seconds / 60 + ":" + (seconds % 60 < 10 ? "0" : "") + seconds % 60;
  }
}
