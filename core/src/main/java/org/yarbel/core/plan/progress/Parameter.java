package org.yarbel.core.plan.progress;

/**
 * One thing a coach can set of a rule, such as 'start, % of the max', 60, from 30 to 90. A rule keeps each as a constant and asks
 * its {@link Settings} by it, so that what is asked for is what can be set.
 */
public sealed interface Parameter {
  /** What can be typed. */
  enum Kind {
    /** A whole number. */
    COUNT,
    /** A number with at most two decimals. */
    NUMBER,
    /** A load in the lifter's unit; empty for what the rule works out. */
    MASS,
    /** Numbers with commas between. */
    NUMBERS,
    /** Keys of lifts with commas between. */
    LIFTS,
    /** Which number percentages are of, as the notation writes it; empty for the lift's own basis. */
    BASIS
  }

  /** What it is stored under. */
  String key();

  /** What the screens say. */
  String words();

  /** What can be typed. */
  Kind kind();

  /** The text when nothing is set; empty where the rule works it out. */
  String fallback();

  /** The least that can be set; of lists, of each entry. */
  default double least() {
    return 0;
  }

  /** The most that can be set; of lists, of each entry. */
  default double most() {
    return 0;
  }

  /** A whole number. */
  record Count(String key, String words, String fallback, double least, double most) implements Parameter {
    /** One with a default. */
    static Count of(String key, String words, int fallback, int least, int most) {
      return new Count(key, words, Integer.toString(fallback), least, most);
    }

    @Override
    public Kind kind() {
      return Kind.COUNT;
    }
  }

  /** A number with at most two decimals. */
  record Number(String key, String words, String fallback, double least, double most) implements Parameter {
    @Override
    public Kind kind() {
      return Kind.NUMBER;
    }
  }

  /** Numbers, one at the least. */
  record Numbers(String key, String words, String fallback, double least, double most) implements Parameter {
    @Override
    public Kind kind() {
      return Kind.NUMBERS;
    }
  }

  /** A load. */
  record Loads(String key, String words) implements Parameter {
    private static final int MOST = 1000;

    /** Where to start, in place of a share of the max. */
    static final Loads START = new Loads("load", "or start at this load");

    /** The smallest jump: the unit's usual one when empty. */
    static final Loads STEP = new Loads("step", "step");

    @Override
    public Kind kind() {
      return Kind.MASS;
    }

    @Override
    public String fallback() {
      return "";
    }

    @Override
    public double most() {
      return MOST;
    }
  }

  /** Lifts; none for the usual ones. */
  record Lifts(String key, String words) implements Parameter {
    @Override
    public Kind kind() {
      return Kind.LIFTS;
    }

    @Override
    public String fallback() {
      return "";
    }
  }

  /** Which number its percentages are of. */
  record OfBasis() implements Parameter {
    static final OfBasis ONE = new OfBasis();

    @Override
    public String key() {
      return "basis";
    }

    @Override
    public String words() {
      return "percentages of";
    }

    @Override
    public Kind kind() {
      return Kind.BASIS;
    }

    @Override
    public String fallback() {
      return "";
    }
  }
}
