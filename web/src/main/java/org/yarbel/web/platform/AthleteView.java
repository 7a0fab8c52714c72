package org.yarbel.web.platform;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.web.skyline.PlatePicture;

/**
 * One lifter's screen on the Platform.
 *
 * @param lifts in their order
 * @param lift the one that is looked at
 * @param now the attempt that is next; null where none is left
 * @param last what was lifted last in this lift; null before the first
 * @param plan null once something is handed in
 * @param over whether all attempts of all lifts are lifted
 * @param keys one for each form, so that what is sent twice is one entry
 */
public record AthleteView(Who who, List<LiftTab> lifts, String lift, @Nullable NowView now, @Nullable LastView last, StandingView standing,
    List<ChoiceView> choices, @Nullable PlanView plan, Rules rules, BeforeView before, boolean over, List<String> keys) {

  /**
   * Whose screen it is.
   *
   * @param facts class, flight, lot, body mass, in words
   * @param cautions what is not as it should be, such as a body mass over the class
   * @param version by which a phone knows whether something is new
   */
  public record Who(long contest, long athlete, String name, String facts, List<String> cautions, long version) {}

  /**
   * Where they stand.
   *
   * @param words subtotal, total, points and place
   * @param odds what the odds go by; null where nothing is known of the lift
   */
  public record StandingView(String words, List<PassView> passing, @Nullable String odds) {}

  /**
   * What the rules come to here.
   *
   * @param free how many attempts a lift has
   * @param step of attempts, in kg
   * @param handIn the time to hand in, in seconds
   * @param until when that is over, in milliseconds of the epoch; 0 where none runs
   */
  public record Rules(int free, String step, long handIn, long until) {}

  /**
   * What was decided beforehand.
   *
   * @param fields as they are typed
   * @param wrongs what is wrong with them, by field
   */
  public record BeforeView(Map<String, String> fields, Map<String, String> wrongs, Bag bag) {}

  /** A lift with its attempts. */
  public record LiftTab(String key, String name, boolean here, List<Chip> attempts) {}

  /**
   * One attempt in short.
   *
   * @param state {@code none}, {@code next}, {@code good} or {@code missed}
   */
  public record Chip(int number, String load, String state, String words) {}

  /**
   * The attempt that is next.
   *
   * @param load that is handed in; empty where none is
   * @param chance of it; empty where nothing is known
   * @param rack where the lift needs one; empty for none
   * @param changes how often it may still be changed, in words
   * @param seen as {@link Kept#seen} says it
   * @param typed what was typed last and refused; empty for nothing
   * @param wrong why it was refused
   */
  public record NowView(int number, String load, String chance, @Nullable PlatePicture plates, String rack, String changes, String seen,
      String typed, @Nullable String wrong, @Nullable DiffersView differs) {}

  /**
   * Something else stands there meanwhile.
   *
   * @param words what stands there
   * @param now as {@link Kept#seen} says it
   * @param fields the entry, to be sent again over it
   */
  public record DiffersView(String words, String now, Map<String, String> fields, String mine) {}

  /** What was lifted last. */
  public record LastView(int number, String load, boolean good, @Nullable String look, @Nullable String reason, @Nullable Integer whites,
      String seen) {}

  /**
   * A load that could be handed in next.
   *
   * @param total what all comes to if it is made; empty where lifts before it are not over
   */
  public record ChoiceView(String load, String chance, String why, String total, String points, String place, String side) {}

  /** What is needed to pass somebody, or with what somebody still passes. */
  public record PassView(String words, boolean threat) {}

  /** The plan of a lift before its first attempt: by attempt the loads of a bad, an expected and a good day. */
  public record PlanView(List<PlanRow> rows, @Nullable String aim) {}

  /** One planned attempt. */
  public record PlanRow(int number, List<String> loads) {}
}
