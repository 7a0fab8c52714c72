package org.yarbel.core.call;

import java.util.List;
import java.util.Optional;
import org.yarbel.core.mass.Mass;

/** Sets that are too easy or too hard for what was asked, twice running. */
final class TooEasyOrHard implements LiftRule {
  private static final double SHARE = 0.025;
  private static final double WORTH_SAYING = 0.25;

  @Override
  public String key() {
    return "too-easy-or-hard";
  }

  @Override
  public String title() {
    return "too easy, too hard";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public String when() {
    return "Rated a point or more off the RPE asked on two unflagged exposures running, or a plus set five reps over its minimum: one step "
        + "or 2.5 %, the smaller.";
  }

  @Override
  public List<CallFigure> figures() {
    return List.of(CallFigure.CALL_OFF_TARGET, CallFigure.CALL_PLUS_OVER);
  }

  @Override
  public Optional<Call> of(Picture picture, String lift) {
    if (picture.remembered(lift)) {
      return Optional.empty();
    }
    List<Past> exposures = picture.exposures(lift);
    int side = exposures.isEmpty() ? 0 : side(picture, exposures.get(0));
    if (side == 0) {
      return plus(picture, lift, exposures);
    }
    int running = 0;
    while (running < exposures.size() && side(picture, exposures.get(running)) == side) {
      running++;
    }
    if (running < 2) {
      return plus(picture, lift, exposures);
    }
    List<Past> agree = exposures.subList(0, running);
    Draft draft = Draft.of(this, lift).agreeing(running).about(side < 0 ? "easy" : "hard");
    agree.forEach(past -> draft.because(past.facts(past.sets().stream().filter(set -> !Double.isNaN(set.off())).toList())));
    double rates = picture.rates(agree.get(0).lines().get(0).lift());
    String known = Math.abs(rates) < WORTH_SAYING ? "" : " (how this lifter rates is taken in)";
    return proposing(picture, lift, side, draft).map(done -> done.saying(picture.name(lift) + ": " + Say.number(
        Math.abs(agree.get(0).off() + rates)) + " and " + Say.number(Math.abs(agree.get(1).off() + rates)) + " points "
            + (side < 0 ? "easier" : "harder")
        + " than asked on the last two exposures (" + Say.day(agree.get(0).day()) + ", " + Say.day(agree.get(1).day()) + "), nothing off"
            + known + "."));
  }

  /** −1 for too easy, 1 for too hard, 0 where it is neither, flagged, or missed. */
  private static int side(Picture picture, Past past) {
    double off = past.off() + picture.rates(past.lines().get(0).lift());
    boolean tells = !past.excused() && past.missed().isEmpty() && Math.abs(off) >= picture.of(CallFigure.CALL_OFF_TARGET);
    return tells ? (int) Math.signum(off) : 0;
  }

  private Optional<Call> plus(Picture picture, String lift, List<Past> exposures) {
    Past newest = exposures.isEmpty() ? null : exposures.get(0);
    Picture.Lifted open = newest == null || newest.excused() ? null : newest.plus().orElse(null);
    Integer asked = open == null ? null : open.asked();
    if (newest == null || open == null || asked == null) {
      return Optional.empty();
    }
    int over = open.reps() - asked;
    if (Math.abs(over) < picture.of(CallFigure.CALL_PLUS_OVER)) {
      return Optional.empty();
    }
    Draft draft = Draft.of(this, lift).agreeing(1).about(over > 0 ? "easy" : "hard").because(Say.fact(newest.day(), open));
    return proposing(picture, lift, -over, draft).map(done -> done.saying(picture.name(lift) + ", " + Say.day(newest.day())
        + ": the open set had " + open.reps() + " reps at " + open.load().text() + ", " + Math.abs(over) + (over > 0 ? " over" : " under")
        + " its minimum."));
  }

  /**
   * Whether it would move a training max away from its share of the estimate, which knows how this lifter rates and all other sets as well:
   * the next call would undo it. Found in simulation, where it did every other time.
   */
  private static boolean againstItsRule(Picture picture, String lift, List<Effect> effects) {
    Picture.OfLift known = picture.lifts().get(lift);
    Mass estimate = picture.context().numbers(picture.context().lift(lift)).estimated();
    if (known == null || estimate == null || effects.isEmpty() || !(effects.get(0) instanceof Effect.Number number)) {
      return false;
    }
    double off = Math.abs(number.after().ratioTo(estimate.scaled(known.trainingShare())) - 1);
    double now = number.before() == null ? off : Math.abs(number.before().ratioTo(estimate.scaled(known.trainingShare())) - 1);
    return off >= now;
  }

  private static Optional<Draft> proposing(Picture picture, String lift, int side, Draft draft) {
    List<Picture.Planned> lines = picture.editable(lift);
    Mass next = lines.isEmpty() ? null : Edits.top(picture, lines.get(0)).orElse(null);
    if (next == null) {
      return Optional.empty();
    }
    double by = Math.min(SHARE, picture.step().ratioTo(next));
    List<Effect> effects = Edits.scaled(picture, lift, side < 0 ? 1 + by : 1 - by);
    if (againstItsRule(picture, lift, effects) || side < 0 && picture.missedLately(lift)) {
      return Optional.empty();
    }
    draft.propose((side < 0 ? "Up" : "Down") + " by " + (by < SHARE ? "a step" : "2.5 %"), effects);
    return draft.proposes() ? Optional.of(draft.leave("Wait for one more")) : Optional.empty();
  }
}
