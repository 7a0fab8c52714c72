package org.yarbel.web.platform;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.web.skyline.PlatePicture;

/**
 * One lifter's screen on the Platform.
 *
 * @param facts class, flight, lot, body mass, in words
 * @param cautions what is not as it should be, such as a body mass over the class
 * @param lifts in their order
 * @param lift the one that is looked at
 * @param now the attempt that is next; null where none is left
 * @param last what was lifted last in this lift; null before the first
 * @param standing subtotal, total, points and place, in words
 * @param odds what the odds go by; null where nothing is known of the lift
 * @param until when the time to hand in is over, in milliseconds of the epoch; 0 where none runs
 * @param keys one for each form, so that what is sent twice is one entry
 * @param version by which a phone knows whether something is new
 */
public record AthleteView(long contest, String contestName, long athlete, String name, String facts, List<String> cautions,
    List<LiftTab> lifts,
    String lift, @Nullable NowView now, @Nullable LastView last, String standing, List<PassView> passing, List<ChoiceView> choices,
    @Nullable PlanView plan, @Nullable String odds, long until, long version, boolean over, Bag bag, int free, long handIn,
    Map<String, String> prepared, Map<String, String> wrongs, List<String> keys) {

  /**
   * A lift with its attempts.
   *
   * @param best the heaviest good one; empty for none
   */
  public record LiftTab(String key, String name, boolean here, List<Chip> attempts, String best) {}

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
      String typed,
      @Nullable String wrong, @Nullable DiffersView differs) {}

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
