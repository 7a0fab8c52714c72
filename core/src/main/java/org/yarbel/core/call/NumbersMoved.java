package org.yarbel.core.call;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.PartOf;

/** The number that is planned with has fallen behind the estimate, or the estimate behind it. */
final class NumbersMoved implements CallRule {
  private static final int EXPOSURES = 2;
  private static final int TEST_RPE = 9;
  private static final double AT_ONCE = 0.025;

  @Override
  public String key() {
    return "numbers-moved";
  }

  @Override
  public String title() {
    return "the numbers have moved";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public String when() {
    return "Percentages are of the training max, a tested max or the goal and the estimate is off by over 2 % over two exposures; or loads "
        + "wait for the coach's word and it is.";
  }

  @Override
  public List<CallFigure> figures() {
    return List.of(CallFigure.CALL_NUMBERS_OFF);
  }

  @Override
  public List<Call> look(Picture picture) {
    List<Call> calls = new ArrayList<>();
    for (Map.Entry<String, Picture.OfLift> known : new TreeMap<>(picture.lifts()).entrySet()) {
      of(picture, known.getKey(), known.getValue()).ifPresent(calls::add);
    }
    return calls;
  }

  private Optional<Call> of(Picture picture, String lift, Picture.OfLift known) {
    if (known.points().size() < EXPOSURES || picture.planned(lift).isEmpty()) {
      return Optional.empty();
    }
    MaxNumbers numbers = picture.context().numbers(known.lift());
    Basis basis = picture.basis(known.lift());
    Mass planned = numbers.of(basis);
    if (planned == null) {
      return Optional.empty();
    }
    return switch (basis) {
      case ESTIMATED -> known.moves() == Picture.Moves.FOLLOW ? Optional.empty() : waiting(picture, known, planned);
      case TRAINING -> picture.remembered(lift) ? Optional.empty() : training(picture, known, planned);
      case TESTED -> tested(picture, known, planned);
      case GOAL -> passed(picture, known, planned);
      case TODAY -> Optional.empty();
    };
  }

  /** How many of the newest points running are off on one side by more than the figure, and on which: under 0 for below. */
  private static int off(Picture picture, Picture.OfLift known, double share, Mass planned) {
    double most = picture.of(CallFigure.CALL_NUMBERS_OFF) / 100;
    int running = 0;
    double side = 0;
    for (int i = known.points().size() - 1; i >= 0; i--) {
      double by = share * known.points().get(i).max().ratioTo(planned) - 1;
      if (Math.abs(by) <= most || running > 0 && Math.signum(by) != side) {
        break;
      }
      side = Math.signum(by);
      running++;
    }
    return (int) side * running;
  }

  private Draft draft(Picture picture, Picture.OfLift known, int off) {
    Draft draft = Draft.of(this, known.lift().key()).agreeing(Math.abs(off)).when(Urgency.REST);
    known.last(Math.min(Math.abs(off), 5)).forEach(point -> draft.because(Say.fact(known.lift().key(), point)));
    return draft;
  }

  private static Mass newest(Picture.OfLift known) {
    return known.points().get(known.points().size() - 1).max();
  }

  private static String apart(Mass estimate, Mass planned) {
    double by = 100 * (estimate.ratioTo(planned) - 1);
    return Say.number(Math.abs(by)) + " % " + (by > 0 ? "over" : "under");
  }

  private Optional<Call> training(Picture picture, Picture.OfLift known, Mass now) {
    int off = off(picture, known, known.trainingShare(), now);
    if (Math.abs(off) < EXPOSURES || off > 0 && picture.missedLately(known.lift().key())) {
      return Optional.empty();
    }
    Mass whole = near(newest(known).scaled(known.trainingShare()), picture);
    Mass next = towards(now, whole, picture);
    String lift = known.lift().key();
    Draft draft = draft(picture, known, off).propose("Training max " + now.text() + " → " + next.text(),
        List.of(new Effect.Number(lift, Basis.TRAINING, now, next)));
    if (!whole.hits(next)) {
      draft.propose("All the way: " + now.text() + " → " + whole.text(), List.of(new Effect.Number(lift, Basis.TRAINING, now, whole)));
    }
    return Optional.of(draft.propose("Test it first: a single @" + TEST_RPE, test(picture, lift))
        .leave("Keep the training max").saying(known.lift().name() + " is planned with a training max of " + Say.about(now) + "; "
            + Say.number(100 * known.trainingShare()) + " % of the estimate is " + Say.about(newest(known).scaled(known.trainingShare()))
            + ", " + apart(newest(known).scaled(known.trainingShare()), now) + " it over " + Math.abs(off) + " exposures."));
  }

  /** As far towards a number as can be taken without looking twice: 2.5 %, to half a unit; what is left comes with the next exposures. */
  private static Mass towards(Mass now, Mass whole, Picture picture) {
    double by = whole.ratioTo(now) - 1;
    if (Math.abs(by) <= AT_ONCE) {
      return whole;
    }
    long half = picture.context().unit().nanograms() / 2;
    return Mass.ofNanograms(Math.round(now.nanograms() * (1 + Math.signum(by) * AT_ONCE) / half) * half, picture.context().unit());
  }

  /** To the step below or above, the nearest. */
  private static Mass near(Mass load, Picture picture) {
    long step = picture.step().nanograms();
    return Mass.ofNanograms(Math.round((double) load.nanograms() / step) * step, picture.context().unit());
  }

  private Optional<Call> tested(Picture picture, Picture.OfLift known, Mass now) {
    int off = off(picture, known, 1, now);
    if (Math.abs(off) < EXPOSURES) {
      return Optional.empty();
    }
    String lift = known.lift().key();
    return Optional.of(draft(picture, known, off).propose("Test it: a single @" + TEST_RPE, test(picture, lift))
        .propose("Plan with the estimate from here", List.of(new Effect.OfBasis(lift, Basis.TESTED, Basis.ESTIMATED)))
        .leave("Keep the tested max").saying(known.lift().name() + " is planned with " + now.text() + ", tested on " + known.testedOn()
            + "; the estimate is " + Say.about(newest(known)) + ", " + apart(newest(known), now) + " it over " + Math.abs(off)
                + " exposures."));
  }

  private Optional<Call> passed(Picture picture, Picture.OfLift known, Mass goal) {
    int off = off(picture, known, 1, goal);
    if (off < EXPOSURES) {
      return Optional.empty();
    }
    Mass next = near(goal.scaled(1 + picture.of(CallFigure.CALL_GOAL_MOVE) / 100), picture);
    String lift = known.lift().key();
    return Optional.of(draft(picture, known, off).propose("Goal " + goal.text() + " → " + next.text(),
        List.of(new Effect.Number(lift, Basis.GOAL, goal, next))).propose("Plan with the estimate from here",
        List.of(new Effect.OfBasis(lift, Basis.GOAL, Basis.ESTIMATED))).leave("Keep the goal").saying(known.lift().name()
            + " is planned with a goal of " + goal.text() + "; the estimate, " + Say.about(newest(known)) + ", has been past it for "
            + off + " exposures."));
  }

  private Optional<Call> waiting(Picture picture, Picture.OfLift known, Mass now) {
    int off = off(picture, known, 1, now);
    if (Math.abs(off) < EXPOSURES) {
      return Optional.empty();
    }
    Mass next = newest(known);
    return Optional.of(draft(picture, known, off).propose("Plan with " + Say.about(next), List.of(new Effect.Number(known.lift().key(),
        Basis.ESTIMATED, now, next))).leave("Stay at " + Say.about(now)).saying(known.lift().name() + " waits for your word ("
            + known.moves().word() + "): it is planned with " + Say.about(now) + ", and the estimate is " + Say.about(next) + ", "
            + apart(next, now) + " that over " + Math.abs(off) + " exposures."));
  }

  /** A single at 9 before the next exposure's work. */
  static List<Effect> test(Picture picture, String lift) {
    List<Effect> effects = new ArrayList<>();
    picture.editable(lift).stream().limit(2).map(planned -> Edits.before(picture, planned, PartOf.sets(1, 1).rpe(TEST_RPE).line())
        .flatMap(work -> Edits.to(planned, work))).flatMap(Optional::stream).findFirst().ifPresent(effects::add);
    return effects;
  }
}
