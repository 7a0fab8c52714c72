package org.yarbel.core.card;

import java.math.BigDecimal;
import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.ParsedLine;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.Span;
import org.yarbel.core.notation.WorkKind;

/** Finds what the sets of one part are meant to weigh. */
final class LoadFinder implements Load.Visitor<Target> {
  private static final double MOST_PERCENT = 110;
  private static final double MOST_PERCENT_OF_TRAINING = 120;
  /** Over this share of what is lifted unaided nobody lowers slowly, and spotters carry too much. Our own limit. */
  private static final int MOST_PERCENT_NEGATIVE = 130;
  private static final double TOLERANCE = 1e-6;
  private static final int MAX_TO_FAILURE = (int) RepMaxCurve.MAX_REPS_TO_FAILURE;

  private final Progress progress;
  private final Resolver.Request request;
  private final Part part;
  private final int number;
  private final ParsedLine.Places places;
  private final Hanging hanging;
  private Progress.@Nullable Entry top;
  private boolean topSought;
  private @Nullable Mass previous;
  private LoggedSet.@Nullable Place previousPlace;

  LoadFinder(Progress progress, Part part, int number, ParsedLine.Places places, Hanging hanging) {
    this.progress = progress;
    this.request = progress.request();
    this.part = part;
    this.number = number;
    this.places = places;
    this.hanging = hanging;
  }

  /** The set that was worked out last: falling sets follow it. */
  void follow(ResolvedSet set) {
    if (set.load() != null) {
      previous = set.load();
      previousPlace = new LoggedSet.Place(set.part(), set.set());
    }
  }

  /**
   * What a set of so many reps is meant to weigh.
   *
   * @param reps empty for open sets and for what has none
   */
  Target target(OptionalDouble reps) {
    Load load = part.load();
    if (load != null) {
      return load.accept(this);
    }
    return part.rpe() == null || !part.work().kind().loadedByRpe()
        ? Target.LIFTER_PICKS
        : byRpe(reps.orElse(1), part.rpe().middle(), 1, places.rpe());
  }

  /**
   * A share of what so many reps at an RPE weigh.
   *
   * @param place of the problem when it is too many reps; null for the part
   */
  Target byRpe(double reps, double rpe, double share, @Nullable Span place) {
    OptionalDouble fraction = request.chart().fraction(reps, rpe);
    if (fraction.isEmpty()) {
      return problem(place, "That is more than " + MAX_TO_FAILURE + " reps to failure, too many to tell a load from: "
          + (part.work().kind().loads() == WorkKind.Loads.NONE ? "ask for fewer reps." : "write a percentage, a load, or none."));
    }
    Basis basis = rpeBasis();
    Mass of = request.numbers().of(basis);
    if (of == null) {
      return problem(places.rpe(), "A load for an RPE needs an estimated or tested max, and none is known: write one down, or "
          + "give a load.");
    }
    Mass exact = of.scaled(fraction.getAsDouble() * share).shownIn(request.unit());
    LoadSource source = new LoadSource.ByChart(LoadSource.Number.of(null, basis, of, request.numbers()),
        EffortChart.repsToFailure(reps, rpe), share, hanging.hung());
    return new Target(exact, null, null, hanging.bar(exact), true, source);
  }

  /** The basis itself when it is tested or estimated, else the estimated, else the tested. */
  private Basis rpeBasis() {
    if (request.basis() == Basis.TESTED || request.basis() == Basis.ESTIMATED) {
      return request.basis();
    }
    return request.numbers().estimated() != null ? Basis.ESTIMATED : Basis.TESTED;
  }

  private Target problem(@Nullable Span place, String message) {
    progress.problem(place == null ? places.part() : place, message);
    return Target.LIFTER_PICKS;
  }

  @Override
  public Target mass(Load.OfMass load) {
    return Target.written(load.mass().shownIn(request.unit()));
  }

  @Override
  public Target bodyMass(Load.BodyMass load) {
    if (request.bodyMass() == null) {
      return problem(places.load(), "The lifter's body mass is not known: write it down, or give a load.");
    }
    Mass total = (load.added() == null ? request.bodyMass() : request.bodyMass().plus(load.added())).shownIn(request.unit());
    // what is lifted as it is comes only in the masses there are
    return new Target(total, null, null, total, request.loadables() != null && !request.loadables().onBar(),
        new LoadSource.OfBody(request.bodyMass(), load.added()));
  }

  @Override
  public Target drop(Load.Drop load) {
    Progress.Entry reference = top();
    if (reference == null) {
      return Target.LIFTER_PICKS;
    }
    boolean above = load.each() && previous != null;
    Mass from = above ? previous : reference.now().load();
    if (from == null) {
      return Target.LIFTER_PICKS;
    }
    Mass exact = load.from(from);
    LoadSource.Set set = above ? new LoadSource.Set(Objects.requireNonNull(previousPlace), true) : set(reference);
    return new Target(exact, null, null, exact, reference.onBar(), new LoadSource.Drop(set, load.percent(), load.mass()));
  }

  @Override
  public Target shareOfTop(Load.ShareOfTop load) {
    Progress.Entry reference = top();
    Mass of = reference == null ? null : reference.now().load();
    return reference == null || of == null ? Target.LIFTER_PICKS
        : shares(of, load.from(), load.to(), reference.onBar(), new LoadSource.ShareOfSet(set(reference), load.from(), load.to()));
  }

  private static LoadSource.Set set(Progress.Entry entry) {
    return new LoadSource.Set(new LoggedSet.Place(entry.planned().part(), entry.planned().set()), false);
  }

  private Progress.@Nullable Entry top() {
    if (!topSought) {
      top = progress.top(number);
      topSought = true;
    }
    return top;
  }

  private static Target shares(Mass of, BigDecimal from, @Nullable BigDecimal to, boolean onBar, LoadSource source) {
    double low = from.doubleValue();
    if (to == null) {
      Mass exact = of.scaled(low / 100);
      return new Target(exact, null, null, exact, onBar, source);
    }
    Mass exact = of.scaled((low + to.doubleValue()) / 200);
    return new Target(exact, of.scaled(low / 100), of.scaled(to.doubleValue() / 100), exact, onBar, source);
  }

  /** Today's max once a top set is made: as the tracker has it, else what the set speaks for by itself. Null before. */
  private @Nullable Mass today() {
    Progress.Entry top = progress.heaviestLogged(number);
    Mass tracked = request.numbers().today();
    return top != null && tracked != null ? tracked : progress.today(top);
  }

  @Override
  public Target percent(Load.Percent load) {
    Basis basis = load.basis() == null ? request.basis() : load.basis();
    Mass of = basis == Basis.TODAY ? today() : null;
    if (of == null) {
      basis = basis == Basis.TODAY ? request.basis() : basis;
      of = numberOf(basis, load.lift());
    }
    if (of == null) {
      return Target.LIFTER_PICKS;
    }
    checkPercent(load.to() == null ? load.from() : load.to(), basis);
    MaxNumbers numbers = load.lift() == null ? request.numbers()
        : Objects.requireNonNullElse(request.others().get(load.lift()), MaxNumbers.NONE);
    LoadSource source = new LoadSource.Share(LoadSource.Number.of(load.lift(), basis, of, numbers), load.from(), load.to(), hanging.hung());
    Target target = shares(of.shownIn(request.unit()), load.from(), load.to(), true, source);
    return target.exact() == null ? target : target.withBar(hanging.bar(target.exact()));
  }

  private @Nullable Mass numberOf(Basis basis, @Nullable String lift) {
    MaxNumbers numbers = lift == null ? request.numbers() : request.others().get(lift);
    if (numbers == null) {
      String known = request.others().keySet().stream().sorted().collect(Collectors.joining(", "));
      problem(places.load(), "No numbers are known of a lift '" + lift + "'."
          + (known.isEmpty() ? "" : " Known are: " + known + "."));
      return null;
    }
    Mass found = numbers.of(basis);
    if (found == null) {
      problem(places.load(), "The " + basis.key() + " max" + (lift == null ? "" : " of " + lift)
          + " is not known: write it down, or name another (tested, est, tm, goal).");
    }
    return found;
  }

  /** Refuses what is lowered with help and is over 130 % of what is lifted without. */
  void checkNegative(List<ResolvedSet> planned) {
    Mass max = request.numbers().best();
    BigDecimal written = part.load() instanceof Load.Percent percent ? Objects.requireNonNullElse(percent.to(), percent.from()) : null;
    Mass heaviest = planned.stream().map(set -> set.exactTo() == null ? set.exact() : set.exactTo()).filter(Objects::nonNull)
        .max(Mass::compareTo).orElse(null);
    double share = written == null ? 0 : written.doubleValue();
    if (max != null && heaviest != null) {
      share = 100 * heaviest.ratioTo(max);
    }
    if (share > MOST_PERCENT_NEGATIVE + TOLERANCE) {
      problem(places.load(), "That is " + Math.round(share) + " % of what is lifted unaided: at the most " + MOST_PERCENT_NEGATIVE
          + " % is lowered, or the spotters carry too much.");
    }
  }

  private void checkPercent(BigDecimal percent, Basis basis) {
    boolean free = request.partial() || part.work().kind() == WorkKind.NEGATIVE || part.option(Option.Reverse.class).isPresent();
    double most = basis == Basis.TRAINING ? MOST_PERCENT_OF_TRAINING : MOST_PERCENT;
    double value = percent.doubleValue();
    if (value > most && !free) {
      problem(places.load(), percent.toPlainString() + " % of the " + basis.key() + " max is more than the "
          + (int) most + " % that is planned for a full lift.");
    } else if (value >= 100 && basis != Basis.TRAINING && part.work().kind() != WorkKind.NEGATIVE) {
      progress.caution(Caution.overMax(percent.toPlainString(), basis.key(), value > 100, request.partial()));
    }
  }
}
