package org.yarbel.core.plan.progress;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** The ways to progress there are, each with its rule. Common practice, no source; every default is our own. */
public enum Method {
  NOVICE_LINEAR("Novice linear", "novice", new NoviceLinear()),
  PLUS_SETS("Training max with plus sets", "plus sets", new PlusSets()),
  GOAL_WAVE("Percent wave to a goal", "goal wave", new GoalWave()),
  RPE_WEEKS("RPE weeks", "RPE weeks", new RpeWeeks()),
  BLOCKS("Blocks", "blocks", new Blocks()),
  ROTATION("Rotating max-effort and speed weeks", "rotation", new Rotation()),
  HIGH_FREQUENCY("High-frequency minimal", "high frequency", new HighFrequency()),
  DOUBLE_PROGRESSION("Double progression", "double", new DoubleProgression()),
  LADDER("Step-down ladder", "ladder", new Ladder()),
  SHRINKING_JUMPS("Shrinking jumps to a contest", "shrinking jumps", new ShrinkingJumps()),
  FALLING_BACKOFFS("Falling back-offs", "falling back-offs", new FallingBackoffs()),
  EVENT_WEEKS("Strongman event weeks", "events", new EventWeeks()),
  CLUSTER("Cluster cycle", "clusters", new Cluster()),
  DENSITY("Density cycle", "density", new Density()),
  PARTIALS("Partials cycle", "partials", new Partials()),
  RISING("Rising percentages", "rising", new Rising()),
  PEAK("Singles to a peak", "peak", new Peaking()),
  TAPER("Taper to a contest", "taper", new Tapering()),
  MOCK("Mock contest", "mock", new MockContest());

  private final String title;
  private final String brief;
  private final Rule rule;

  Method(String title, String brief, Rule rule) {
    this.title = title;
    this.brief = brief;
    this.rule = rule;
  }

  /** What the screens call it: {@code Step-down ladder}. */
  public String title() {
    return title;
  }

  /** The same in a word or two, for narrow places. */
  public String shortTitle() {
    return brief;
  }

  /** The name in addresses and documents: {@code plus-sets}. */
  public String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** What writes its exposures. */
  public Rule rule() {
    return rule;
  }

  /** The page of plain words. */
  public Guide guide() {
    return Guide.of(this);
  }

  /** The method with this key. */
  public static Optional<Method> ofKey(String key) {
    return Arrays.stream(values()).filter(method -> method.key().equals(key)).findFirst();
  }
}
