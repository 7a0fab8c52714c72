package org.yarbel.core.notation;

import java.math.BigDecimal;
import java.util.List;
import java.util.stream.Collectors;
import org.yarbel.core.mass.Mass;

/** What kind of work a part is, with its counts. Each kind prints itself in normal form. */
public sealed interface Work {
  /** How many sets a {@code build} proposes. */
  int BUILD_SETS = 4;

  /** Calls the method of this kind. */
  <R> R accept(Visitor<R> visitor);

  /** The kind, which says what may stand beside it. */
  WorkKind kind();

  /** How many sets it comes to, from 1. */
  int sets();

  /** The same work done several times over, a round each; work without sets of its own stays as it is. */
  default Work times(int rounds) {
    return this;
  }

  /** One method a kind of work. */
  interface Visitor<R> {
    /** Of sets of reps. */
    R sets(SetsOfReps work);

    /** Of rising sets. */
    R build(Build work);

    /** Of the best set of the day. */
    R max(Max work);

    /** Of rounds of singles. */
    R cluster(Cluster work);

    /** Of singles in a time. */
    R density(Density work);

    /** Of a set at every start of an interval. */
    R emom(Emom work);

    /** Of what is lowered with help. */
    R negative(Negative work);

    /** Of what is held. */
    R hold(Hold work);

    /** Of what is carried. */
    R carry(Carry work);

    /** Of reps in a time. */
    R timed(Timed work);

    /** Of one lift at each mass. */
    R series(Series work);

    /** Of a written warm-up. */
    R warm(Warm work);
  }

  /**
   * So many sets of so many reps: {@code 5x5}, {@code 3x8-10}, {@code 3x5+}, {@code 2xAMRAP}.
   *
   * @param sets 1 to 50
   */
  record SetsOfReps(int sets, Reps reps) implements Work {
    /** Whether any of its sets goes as far as it goes. */
    public boolean open() {
      return reps instanceof Reps.Open || reps instanceof Reps.AtLeast;
    }

    /** Whether the set of a number does, from 1: each of open ones, of a minimum the last. */
    public boolean open(int set) {
      return reps instanceof Reps.Open || reps instanceof Reps.AtLeast && set >= sets;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.sets(this);
    }

    @Override
    public WorkKind kind() {
      return WorkKind.SETS;
    }

    @Override
    public Work times(int rounds) {
      return new SetsOfReps(sets * rounds, reps);
    }

    @Override
    public String toString() {
      return sets + "x" + reps;
    }
  }

  /**
   * Rising sets until one reaches an RPE; the last counts: {@code build 8 @7}.
   *
   * @param reps 1 to 100
   */
  record Build(int reps) implements Work {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.build(this);
    }

    @Override
    public WorkKind kind() {
      return WorkKind.BUILD;
    }

    @Override
    public int sets() {
      return BUILD_SETS;
    }

    @Override
    public String toString() {
      return "build " + reps;
    }
  }

  /**
   * Up to the best set of so many reps of the day: {@code max 1}.
   *
   * @param reps 1 to 100
   */
  record Max(int reps) implements Work {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.max(this);
    }

    @Override
    public WorkKind kind() {
      return WorkKind.MAX;
    }

    @Override
    public int sets() {
      return 1;
    }

    @Override
    public String toString() {
      return "max " + reps;
    }
  }

  /**
   * Rounds of singles with short gaps: {@code cluster 3x6 93% gap 20s}.
   *
   * @param sets rounds, 1 to 50
   * @param singles of a round, 1 to 100
   */
  record Cluster(int sets, int singles) implements Work {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.cluster(this);
    }

    @Override
    public WorkKind kind() {
      return WorkKind.CLUSTER;
    }

    @Override
    public Work times(int rounds) {
      return new Cluster(sets * rounds, singles);
    }

    @Override
    public String toString() {
      return "cluster " + sets + "x" + singles;
    }
  }

  /**
   * As many singles as go in the time, towards a goal; a miss ends it: {@code density 10 90% in 10:00}.
   *
   * @param goal 1 to 100 singles
   */
  record Density(int goal) implements Work {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.density(this);
    }

    @Override
    public WorkKind kind() {
      return WorkKind.DENSITY;
    }

    @Override
    public int sets() {
      return 1;
    }

    @Override
    public String toString() {
      return "density " + goal;
    }
  }

  /**
   * A set at every start of an interval, of a minute unless {@code every} says another: {@code emom 10x2 80%}.
   *
   * @param sets 1 to 50
   * @param reps 1 to 100
   */
  record Emom(int sets, int reps) implements Work {
    /** The interval when none is written. */
    public static final int SECONDS = 60;

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.emom(this);
    }

    @Override
    public WorkKind kind() {
      return WorkKind.EMOM;
    }

    @Override
    public Work times(int rounds) {
      return new Emom(sets * rounds, reps);
    }

    @Override
    public String toString() {
      return "emom " + sets + "x" + reps;
    }
  }

  /**
   * Lowered slowly, helped up: {@code negative 1x8 120%}.
   *
   * @param sets 1 to 50
   * @param reps 1 to 100
   */
  record Negative(int sets, int reps) implements Work {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.negative(this);
    }

    @Override
    public WorkKind kind() {
      return WorkKind.NEGATIVE;
    }

    @Override
    public Work times(int rounds) {
      return new Negative(sets * rounds, reps);
    }

    @Override
    public String toString() {
      return "negative " + sets + "x" + reps;
    }
  }

  /**
   * Held for a time: {@code hold 3x30s 60kg}.
   *
   * @param sets 1 to 50
   * @param seconds 1 to 3600
   */
  record Hold(int sets, int seconds) implements Work {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.hold(this);
    }

    @Override
    public WorkKind kind() {
      return WorkKind.HOLD;
    }

    @Override
    public Work times(int rounds) {
      return new Hold(sets * rounds, seconds);
    }

    @Override
    public String toString() {
      return "hold " + sets + "x" + Option.time(seconds);
    }
  }

  /** How a distance is written. */
  enum DistanceUnit {
    M("m", BigDecimal.ONE),
    /** 0.3048 m exactly: international yard and pound agreement, 1959. */
    FT("ft", new BigDecimal("0.3048"));

    private final String symbol;
    private final BigDecimal metres;

    DistanceUnit(String symbol, BigDecimal metres) {
      this.symbol = symbol;
      this.metres = metres;
    }

    /** As it is written: {@code m}, {@code ft}. */
    public String symbol() {
      return symbol;
    }
  }

  /**
   * Carried for a distance: {@code carry 2x20m 140kg in 60s}.
   *
   * @param sets 1 to 50
   * @param distance over 0 to 1000
   */
  record Carry(int sets, BigDecimal distance, DistanceUnit unit) implements Work {
    /** The distance in metres. */
    public BigDecimal metres() {
      return distance.multiply(unit.metres);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.carry(this);
    }

    @Override
    public WorkKind kind() {
      return WorkKind.CARRY;
    }

    @Override
    public Work times(int rounds) {
      return new Carry(sets * rounds, distance, unit);
    }

    @Override
    public String toString() {
      return "carry " + sets + "x" + distance.toPlainString() + unit.symbol();
    }
  }

  /**
   * As many reps as go in a time: {@code timed 2x60s 100kg}.
   *
   * @param sets 1 to 50
   * @param seconds 1 to 3600
   */
  record Timed(int sets, int seconds) implements Work {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.timed(this);
    }

    @Override
    public WorkKind kind() {
      return WorkKind.TIMED;
    }

    @Override
    public Work times(int rounds) {
      return new Timed(sets * rounds, seconds);
    }

    @Override
    public String toString() {
      return "timed " + sets + "x" + Option.time(seconds);
    }
  }

  /**
   * One lift or load at each mass, in order: {@code series 100/120/140kg}.
   *
   * @param masses 1 to 50, all of one unit
   */
  record Series(List<Mass> masses) implements Work {
    public Series {
      masses = List.copyOf(masses);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.series(this);
    }

    @Override
    public WorkKind kind() {
      return WorkKind.SERIES;
    }

    @Override
    public int sets() {
      return masses.size();
    }

    @Override
    public String toString() {
      return "series " + masses.stream().map(Mass::number).collect(Collectors.joining("/")) + masses.get(0).unit();
    }
  }

  /**
   * A written warm-up, instead of the one that is worked out: {@code warm 1x5 25%}.
   *
   * @param sets 1 to 50
   * @param reps 1 to 100
   */
  record Warm(int sets, int reps) implements Work {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.warm(this);
    }

    @Override
    public WorkKind kind() {
      return WorkKind.WARM;
    }

    @Override
    public String toString() {
      return "warm " + sets + "x" + reps;
    }
  }
}
