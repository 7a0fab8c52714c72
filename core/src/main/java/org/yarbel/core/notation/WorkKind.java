package org.yarbel.core.notation;

import java.util.Optional;

/**
 * The kinds of work: the word each begins with, and what may stand beside it. Parser, completion and help all ask here.
 */
public enum WorkKind {
  SETS("", "5x5", "sets x reps, one after another", Loads.ANY, Ratings.ANY),
  BUILD("build", "build 8 @7", "rising sets until one reaches the RPE", Loads.NONE, Ratings.ONE_NEEDED),
  MAX("max", "max 1", "up to the best of the day", Loads.NONE, Ratings.ONE),
  CLUSTER("cluster", "cluster 3x6 93% gap 20s", "rounds of singles with short gaps", Loads.ANY, Ratings.NONE),
  DENSITY("density", "density 10 90% in 10:00", "as many singles as go in the time", Loads.ANY, Ratings.NONE),
  EMOM("emom", "emom 10x2 80%", "a set at every start of a minute", Loads.ANY, Ratings.ANY),
  NEGATIVE("negative", "negative 1x8 120%", "lowered slowly, helped up", Loads.SHARE_OR_MASS, Ratings.NONE),
  HOLD("hold", "hold 3x30s 60kg", "held for a time", Loads.NO_DROP, Ratings.ANY),
  CARRY("carry", "carry 2x20m 140kg in 60s", "carried for a distance", Loads.NO_DROP, Ratings.ANY),
  TIMED("timed", "timed 2x60s 100kg", "as many reps as go in the time", Loads.NO_DROP, Ratings.ANY),
  SERIES("series", "series 100/120/140kg", "each mass once, in order", Loads.NONE, Ratings.NONE),
  WARM("warm", "warm 1x5 25%", "a written warm-up in place of the worked-out one", Loads.SHARE_OR_MASS, Ratings.NONE);

  /** Which loads may stand beside it. */
  public enum Loads {
    /** Any, or none. */
    ANY,
    /** Any but a drop, or none. */
    NO_DROP,
    /** A share of a max or a mass; it has to be there. */
    SHARE_OR_MASS,
    /** None. */
    NONE
  }

  /** Whether an RPE may stand beside it. */
  public enum Ratings {
    /** One or a range. */
    ANY,
    /** One value. */
    ONE,
    /** One value, and it has to be there. */
    ONE_NEEDED,
    /** None. */
    NONE
  }

  private final String word;
  private final String example;
  private final String meaning;
  private final Loads loads;
  private final Ratings ratings;

  WorkKind(String word, String example, String meaning, Loads loads, Ratings ratings) {
    this.word = word;
    this.example = example;
    this.meaning = meaning;
    this.loads = loads;
    this.ratings = ratings;
  }

  /** The word a part of this kind begins with; empty for plain sets. */
  public String word() {
    return word;
  }

  /** A part of this kind. */
  public String example() {
    return example;
  }

  /** What it is, in a few words. */
  public String meaning() {
    return meaning;
  }

  public Loads loads() {
    return loads;
  }

  public Ratings ratings() {
    return ratings;
  }

  /** Whether an RPE beside it gives a load where no load is written; elsewhere it says how the work should feel. */
  public boolean loadedByRpe() {
    return this == SETS || this == EMOM || this == BUILD || this == MAX;
  }

  static Optional<WorkKind> ofWord(String word) {
    for (WorkKind kind : values()) {
      if (!word.isEmpty() && kind.word.equals(word)) {
        return Optional.of(kind);
      }
    }
    return Optional.empty();
  }
}
