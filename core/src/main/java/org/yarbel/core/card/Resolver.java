package org.yarbel.core.card;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.ParsedLine;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.Problem;
import org.yarbel.core.notation.Reps;
import org.yarbel.core.notation.RpeTarget;
import org.yarbel.core.notation.Span;
import org.yarbel.core.notation.Work;

/**
 * Works a line out for one lifter: sets with loads that can be put on the bar.
 *
 * <p>Percentages and RPEs give an exact load; the planned one is the nearest that loads, the lower of two equally near.
 * Back-offs follow the heaviest logged set of the parts before with a rep made, until one is logged the heaviest
 * planned. Nothing falls back silently: a basis without a number is a problem at its place.
 */
public final class Resolver {
  private static final double MOST_PERCENT = 110;
  private static final double MOST_PERCENT_OF_TRAINING = 120;

  private final Request request;
  private final List<Problem> problems = new ArrayList<>();
  private final Map<String, Caution> cautions = new LinkedHashMap<>();
  private final List<ResolvedSet> sets = new ArrayList<>();

  /**
   * What a line is worked out with.
   *
   * @param basis of percentages that name none; not {@link Basis#TODAY}
   * @param numbers of this lift
   * @param others of other lifts, by key
   * @param bodyMass null when it is unknown
   * @param loadables null where nothing goes on a bar: loads stay exact
   * @param unit of the answers
   * @param partial whether the variation is a partial, which may exceed the max by more
   * @param logged what was done so far, in any order
   * @param ramp the style of the warm-up; null for none
   */
  public record Request(
      ParsedLine line,
      Basis basis,
      MaxNumbers numbers,
      Map<String, MaxNumbers> others,
      @Nullable Mass bodyMass,
      @Nullable Loadables loadables,
      MassUnit unit,
      EffortChart chart,
      Movement movement,
      boolean partial,
      List<LoggedSet> logged,
      @Nullable RampStyle ramp) {
    /** A line of a barbell lift with nothing logged, by the house chart, with its ramp. */
    public static Request of(ParsedLine line, Basis basis, MaxNumbers numbers, Loadables loadables) {
      return new Request(line, basis, numbers, Map.of(), null, loadables, loadables.kit().unit(), EffortChart.HOUSE,
          Movement.SQUAT, false, List.of(), RampStyle.SHRINKING);
    }

    /** The same with what was done. */
    public Request withLogged(List<LoggedSet> done) {
      return new Request(line, basis, numbers, others, bodyMass, loadables, unit, chart, movement, partial, done, ramp);
    }
  }

  private Resolver(Request request) {
    this.request = request;
  }

  /**
   * Works a line out.
   *
   * @throws NotationException with the places of what this lifter lacks, or of loads that are refused
   */
  public static ResolvedLine resolve(Request request) {
    return new Resolver(request).resolve();
  }

  private ResolvedLine resolve() {
    List<Part> parts = request.line().line().parts();
    for (int i = 0; i < parts.size(); i++) {
      new PartResolver(parts.get(i), i + 1, request.line().places().get(i)).resolve();
    }
    if (!problems.isEmpty()) {
      throw new NotationException(problems);
    }
    markTops();
    List<RampStep> ramp = ramp();
    return new ResolvedLine(
        request.line().line().toString(), ramp, sets, today(heaviestLogged(sets)), List.copyOf(cautions.values()));
  }

  /** The part that holds the set which drops refer to is the top. */
  private void markTops() {
    for (int part : sets.stream().filter(s -> needsTop(s.part())).map(ResolvedSet::part).distinct().toList()) {
      topBefore(part).ifPresent(top -> sets.replaceAll(set ->
          set.part() == top.part() && set.role() == Role.STRAIGHT ? withRole(set, Role.TOP) : set));
    }
  }

  private boolean needsTop(int part) {
    Load load = request.line().line().parts().get(part - 1).load();
    return load != null && load.needsTop();
  }

  private List<RampStep> ramp() {
    Optional<Mass> top = sets.isEmpty() ? Optional.empty() : Optional.ofNullable(sets.get(0).load());
    boolean onBar = !sets.isEmpty() && sets.get(0).perSide() != null;
    if (request.ramp() == null || top.isEmpty() || request.loadables() == null || !onBar) {
      return List.of();
    }
    WarmUpRamp ramp = WarmUpRamp.to(top.get(), request.loadables(), request.movement(), request.ramp());
    if (ramp.note() != null) {
      caution(Caution.poorRamp(ramp.note()));
    }
    return ramp.steps();
  }

  private boolean goesOnBar() {
    return request.loadables() != null && request.loadables().onBar();
  }

  private void caution(Caution caution) {
    cautions.putIfAbsent(caution.code(), caution);
  }

  private Optional<LoggedSet> logged(int part, int set) {
    return request.logged().stream().filter(l -> l.part() == part && l.set() == set).findFirst();
  }

  /** The heaviest logged set with a rep made, else the heaviest planned; the first of equally heavy ones. */
  private Optional<ResolvedSet> topBefore(int part) {
    List<ResolvedSet> before = sets.stream().filter(s -> s.part() < part && s.load() != null).toList();
    ResolvedSet done = heaviestLogged(before);
    if (done != null) {
      return Optional.of(done);
    }
    if (before.stream().anyMatch(ResolvedSet::logged)) {
      caution(Caution.noRepMade());
    }
    return before.stream().filter(s -> s.exact() != null).map(this::asPlanned).reduce(Resolver::heavier);
  }

  // Where every set of the top part was missed, the plan's loads count and not what was missed.
  private ResolvedSet asPlanned(ResolvedSet set) {
    if (!set.logged()) {
      return set;
    }
    Mass exact = Objects.requireNonNull(set.exact());
    boolean loads = request.loadables() != null && (set.perSide() != null || !goesOnBar());
    Mass load = loads ? Objects.requireNonNull(request.loadables()).written(exact).total() : exact;
    return new ResolvedSet(set.part(), set.set(), set.role(), exact, load, null, null, null, null, set.percent(),
        set.perSide(), null, null, null, null, null, false);
  }

  private static @Nullable ResolvedSet heaviestLogged(List<ResolvedSet> among) {
    return among.stream()
        .filter(s -> s.logged() && s.reps() != null && s.reps() > 0 && s.load() != null)
        .reduce(Resolver::heavier)
        .orElse(null);
  }

  /** The heavier of two sets with loads; of equally heavy ones the first. */
  static ResolvedSet heavier(ResolvedSet a, ResolvedSet b) {
    return Objects.requireNonNull(b.load()).compareTo(Objects.requireNonNull(a.load())) > 0 ? b : a;
  }

  /** Load / percent(reps, RPE), raw; null without a rating or beyond 15 reps to failure. */
  private @Nullable Mass today(@Nullable ResolvedSet top) {
    if (top == null || !top.logged() || top.rpe() == null || top.reps() == null || top.load() == null) {
      return null;
    }
    OptionalDouble fraction = request.chart().fraction(top.reps(), top.rpe().value());
    return fraction.isEmpty() ? null : top.load().scaled(1 / fraction.getAsDouble()).shownIn(request.unit());
  }

  private static ResolvedSet withRole(ResolvedSet s, Role role) {
    return new ResolvedSet(s.part(), s.set(), role, s.exact(), s.load(), s.reps(), s.repsTo(), s.rpe(), s.rpeTo(),
        s.percent(), s.perSide(), s.restSeconds(), s.tempo(), s.exactFrom(), s.exactTo(), s.stop(), s.logged());
  }

  /** An exact load with the ends of its range, and whether it goes on a bar. */
  private record Target(@Nullable Mass exact, @Nullable Mass from, @Nullable Mass to, boolean onBar) {
    static final Target LIFTER_PICKS = new Target(null, null, null, true);

    static Target of(Mass exact) {
      return new Target(exact, null, null, true);
    }
  }

  private final class PartResolver implements Work.Visitor<Void>, Load.Visitor<Target> {
    private final Part part;
    private final int number;
    private final ParsedLine.Places places;
    private @Nullable Mass previous;
    private boolean topOnBar = true;

    PartResolver(Part part, int number, ParsedLine.Places places) {
      this.part = part;
      this.number = number;
      this.places = places;
    }

    void resolve() {
      part.work().accept(this);
    }

    @Override
    public Void sets(Work.SetsOfReps work) {
      for (int set = 1; set <= work.sets(); set++) {
        Target target = target(work.reps());
        if (!problems.isEmpty()) {
          return null;
        }
        ResolvedSet planned = planned(work, set, target);
        ResolvedSet resolved = logged(number, set)
            .map(done -> planned.asLogged(done, plates(done.load(), target.onBar())))
            .orElse(planned);
        sets.add(resolved);
        previous = resolved.load() != null ? resolved.load() : previous;
      }
      return null;
    }

    private Target target(Reps reps) {
      Load load = part.load();
      if (load != null) {
        return load.accept(this);
      }
      RpeTarget rpe = part.rpe();
      return rpe == null ? Target.LIFTER_PICKS : byRpe(reps, rpe);
    }

    private ResolvedSet planned(Work.SetsOfReps work, int set, Target target) {
      Mass exact = target.exact();
      Loading loading = exact == null || !target.onBar() ? null : load(exact, part.load() instanceof Load.OfMass);
      RpeTarget rpe = part.rpe();
      Mass basis = request.numbers().of(request.basis());
      boolean openEnd = work.reps() instanceof Reps.Open || lastOfPlus(work, set);
      String cap = part.option(Option.Cap.class).map(o -> "@" + o.rpe()).orElse(null);
      return new ResolvedSet(
          number,
          set,
          role(work, set),
          exact,
          loading != null ? loading.total().shownIn(request.unit()) : exact,
          work.reps().least(),
          work.reps().most(),
          rpe == null ? null : rpe.from(),
          rpe == null ? null : rpe.to(),
          exact == null || basis == null ? null : 100 * exact.ratioTo(basis),
          loading == null || !goesOnBar() ? null : loading.perSide(),
          part.option(Option.Rest.class).map(Option.Rest::seconds).orElse(null),
          part.option(Option.Tempo.class).map(Option.Tempo::text).orElse(null),
          target.from(),
          target.to(),
          cap != null ? cap : openEnd ? "form" : null,
          false);
    }

    private boolean lastOfPlus(Work.SetsOfReps work, int set) {
      return work.reps() instanceof Reps.AtLeast && set == work.sets();
    }

    private Role role(Work.SetsOfReps work, int set) {
      if (work.reps() instanceof Reps.Open) {
        return Role.OPEN;
      }
      if (lastOfPlus(work, set)) {
        return Role.PLUS;
      }
      return part.load() != null && part.load().needsTop() ? Role.BACKOFF : Role.STRAIGHT;
    }

    private @Nullable Loading load(Mass exact, boolean written) {
      Loadables loadables = request.loadables();
      if (loadables == null) {
        return null;
      }
      Loading nearest = written ? loadables.written(exact) : loadables.nearest(exact);
      String asked = exact.shownIn(request.unit()).text();
      String made = nearest.total().shownIn(request.unit()).text();
      if (loadables.below(exact).isEmpty()) {
        caution(Caution.underBar(asked, made));
      } else if (loadables.above(exact).isEmpty()) {
        caution(Caution.beyondStock(asked, made));
      }
      return nearest;
    }

    private @Nullable List<Mass> plates(Mass load, boolean onBar) {
      return !goesOnBar() || !onBar
          ? null
          : request.loadables().exact(load).map(Loading::perSide).orElse(null);
    }

    private void problem(@Nullable Span place, String message) {
      problems.add(Problem.at(place == null ? places.part() : place, message));
    }

    @Override
    public Target mass(Load.OfMass load) {
      return Target.of(load.mass().shownIn(request.unit()));
    }

    @Override
    public Target bodyMass(Load.BodyMass load) {
      if (request.bodyMass() == null) {
        problem(places.load(), "The lifter's body mass is not known: write it down, or give a load.");
        return Target.LIFTER_PICKS;
      }
      Mass total = load.added() == null ? request.bodyMass() : request.bodyMass().plus(load.added());
      return new Target(total.shownIn(request.unit()), null, null, false);
    }

    @Override
    public Target drop(Load.Drop load) {
      Optional<Mass> reference = load.each() && previous != null ? Optional.of(previous) : top();
      return reference.map(r -> new Target(load.from(r), null, null, topOnBar)).orElse(Target.LIFTER_PICKS);
    }

    @Override
    public Target shareOfTop(Load.ShareOfTop load) {
      return top().map(top -> shares(top, load.from().doubleValue(), upper(load.to()))).orElse(Target.LIFTER_PICKS);
    }

    private Optional<Mass> top() {
      Optional<ResolvedSet> top = topBefore(number);
      topOnBar = top.map(t -> onBar(t.part())).orElse(true);
      return top.map(ResolvedSet::load);
    }

    // A set logged at a load that no plates make still went on a bar.
    private boolean onBar(int part) {
      Load load = request.line().line().parts().get(part - 1).load();
      if (load instanceof Load.BodyMass) {
        return false;
      }
      return load == null || !load.needsTop() || part == 1
          || topBefore(part).map(t -> onBar(t.part())).orElse(true);
    }

    private Target shares(Mass of, double low, @Nullable Double high) {
      if (high == null) {
        return new Target(of.scaled(low / 100), null, null, topOnBar);
      }
      return new Target(of.scaled((low + high) / 200), of.scaled(low / 100), of.scaled(high / 100), topOnBar);
    }

    private static @Nullable Double upper(java.math.@Nullable BigDecimal to) {
      return to == null ? null : to.doubleValue();
    }

    @Override
    public Target percent(Load.Percent load) {
      Basis basis = load.basis() == null ? request.basis() : load.basis();
      double most = load.to() == null ? load.from().doubleValue() : load.to().doubleValue();
      Mass of = basis == Basis.TODAY ? today(heaviestLogged(setsBefore())) : null;
      if (basis == Basis.TODAY && of == null) {
        basis = request.basis();
      }
      if (of == null) {
        of = numberOf(basis, load.lift());
      }
      if (of == null) {
        return Target.LIFTER_PICKS;
      }
      checkPercent(most, basis);
      return shares(of.shownIn(request.unit()), load.from().doubleValue(), upper(load.to()));
    }

    private List<ResolvedSet> setsBefore() {
      return sets.stream().filter(s -> s.part() < number).toList();
    }

    private @Nullable Mass numberOf(Basis basis, @Nullable String lift) {
      MaxNumbers numbers = lift == null ? request.numbers() : request.others().get(lift);
      if (numbers == null) {
        String known = request.others().keySet().stream().sorted().collect(Collectors.joining(", "));
        problem(places.load(), "No numbers are known of a lift '" + lift + "'."
            + (known.isEmpty() ? "" : " Known are: " + known + "."));
        return null;
      }
      Mass number = numbers.of(basis);
      if (number == null) {
        problem(places.load(), "The " + basis.key() + " max" + (lift == null ? "" : " of " + lift)
            + " is not known: write it down, or name another (tested, est, tm, goal).");
      }
      return number;
    }

    private void checkPercent(double percent, Basis basis) {
      double most = basis == Basis.TRAINING ? MOST_PERCENT_OF_TRAINING : MOST_PERCENT;
      String text = java.math.BigDecimal.valueOf(percent).stripTrailingZeros().toPlainString();
      if (percent > most && !request.partial()) {
        problem(places.load(), text + " % of the " + basis.key() + " max is more than the "
            + (int) most + " % that is planned for a full lift.");
      } else if (percent > 100 && basis != Basis.TRAINING) {
        caution(Caution.overMax(text, basis.key()));
      }
    }

    private Target byRpe(Reps reps, RpeTarget rpe) {
      OptionalDouble fraction = request.chart().fraction(reps.middle().orElse(1), rpe.middle());
      if (fraction.isEmpty()) {
        problem(places.rpe(), "That is more than " + (int) RepMaxCurve.MAX_REPS_TO_FAILURE
            + " reps to failure, too many to tell a load from: write a percentage, a load, or none.");
        return Target.LIFTER_PICKS;
      }
      Mass of = rpeNumber();
      if (of == null) {
        problem(places.rpe(), "A load for an RPE needs an estimated or tested max, and none is known: write one down, or give a load.");
        return Target.LIFTER_PICKS;
      }
      return Target.of(of.scaled(fraction.getAsDouble()).shownIn(request.unit()));
    }

    /** The basis itself when it is tested or estimated, else the estimated, else the tested. */
    private @Nullable Mass rpeNumber() {
      if (request.basis() == Basis.TESTED || request.basis() == Basis.ESTIMATED) {
        return request.numbers().of(request.basis());
      }
      Mass estimated = request.numbers().estimated();
      return estimated != null ? estimated : request.numbers().tested();
    }
  }
}
