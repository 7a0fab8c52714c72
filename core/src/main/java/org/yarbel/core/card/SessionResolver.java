package org.yarbel.core.card;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.lift.Equipment;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.ParsedLine;
import org.yarbel.core.notation.Problem;
import org.yarbel.core.notation.WorkLine;

/**
 * Works out the lines of a lifter's session with their numbers and the kit of the place. What is lifted before makes a lift
 * warm ({@link Warmth}); a line in rounds has its sets in every one; what is to be minded of the lift itself is said with what
 * is to be minded of the work.
 */
public record SessionResolver(LifterContext context) {
  private static final Set<Equipment> FALLS =
      EnumSet.of(Equipment.STONE, Equipment.KEG, Equipment.SANDBAG, Equipment.YOKE, Equipment.TYRE);

  /**
   * A line, worked out or not.
   *
   * @param request what it was worked out with; null when it could not be read
   * @param line null when it could not be worked out
   * @param wrong why not; null when it could
   */
  public record Worked(Resolver.@Nullable Request request, @Nullable ResolvedLine line, @Nullable NotationException wrong) {}

  /** The lines of a session in their order. */
  public List<Worked> session(List<PlannedLine> lines) {
    List<Worked> all = new ArrayList<>();
    List<Warmth.Taken> taken = new ArrayList<>();
    for (PlannedLine line : lines) {
      Worked worked = work(line, Warmth.of(line.lift(), taken, context.lifts()));
      all.add(worked);
      taken(line.lift(), worked).ifPresent(taken::add);
    }
    return all;
  }

  /** A line that would stand behind others of its session. */
  public Worked after(List<PlannedLine> before, PlannedLine line) {
    List<PlannedLine> all = new ArrayList<>(before);
    all.add(line);
    return session(all).get(before.size());
  }

  /** A line by itself, its lift cold. */
  public Worked alone(PlannedLine line) {
    return work(line, null);
  }

  /**
   * What a line is worked out with, without its warm-up.
   *
   * @throws NotationException where it cannot be read, or its rounds make more sets than a line may have
   */
  public Resolver.Request planned(PlannedLine line) {
    return request(line, null).withWarmUp(null);
  }

  /** A line worked out without its warm-up and what is to be minded of its lift; empty when it cannot be. */
  public Optional<ResolvedLine> withoutRamp(PlannedLine line) {
    try {
      return Optional.of(Resolver.resolve(planned(line)));
    } catch (NotationException wrong) {
      return Optional.empty();
    }
  }

  private static Optional<Warmth.Taken> taken(Lift lift, Worked worked) {
    return worked.line() == null ? Optional.empty() : worked.line().sets().stream().map(ResolvedSet::load)
        .filter(Objects::nonNull).max(Mass::compareTo).map(heaviest -> new Warmth.Taken(lift, heaviest));
  }

  /** A line whose lift is warm to a load; null for cold. */
  Worked work(PlannedLine line, @Nullable Mass warmTo) {
    try {
      Resolver.Request request = request(line, warmTo);
      return new Worked(request, withLiftCautions(line.lift(), request, Resolver.resolve(request)), null);
    } catch (NotationException wrong) {
      return new Worked(null, null, wrong);
    }
  }

  private Resolver.Request request(PlannedLine line, @Nullable Mass warmTo) {
    LifterContext known = context.training(line.lift(), line.trainingMax());
    Lift lift = line.lift();
    ParsedLine parsed = inRounds(WorkLine.parse(line.work()), line.rounds());
    Map<String, MaxNumbers> others = known.numbersFor(lift, parsed);
    Loadables loadables = known.kit().of(lift, line.beside().bar()).map(known.kit()::search).orElse(null);
    String ramp = line.beside().ramp();
    WarmUp warmUp = loadables == null ? null : new WarmUp(known.ramp(), warmTo, ramp == null ? null : HandRamp.parse(ramp, known.unit()));
    return new Resolver.Request(parsed, known.basis(lift), Objects.requireNonNull(others.get(lift.key())), others,
        known.bodyMass(), loadables, known.unit(),
        known.chart(lift), lift.movement(), lift.variation().partial(), List.of(), warmUp, known.level(lift));
  }

  private static ParsedLine inRounds(ParsedLine line, int rounds) {
    WorkLine all = line.line().times(rounds);
    List<Problem> problems = new ArrayList<>();
    for (int i = 0; i < all.parts().size(); i++) {
      if (all.parts().get(i).work().sets() > WorkLine.MAX_SETS) {
        problems.add(Problem.at(line.places().get(i).part(), "In " + rounds + " rounds this comes to more than "
            + WorkLine.MAX_SETS + " sets: write fewer, or fewer rounds."));
      }
    }
    if (!problems.isEmpty()) {
      throw new NotationException(problems);
    }
    return new ParsedLine(all, line.places());
  }

  /** What is to be minded of the lift itself: where its number comes from, and what falls down. */
  private ResolvedLine withLiftCautions(Lift lift, Resolver.Request request, ResolvedLine line) {
    List<Caution> cautions = new ArrayList<>(line.cautions());
    byRatio(lift, request).ifPresent(cautions::add);
    if (FALLS.contains(lift.equipment())) {
      cautions.add(Caution.landing());
    }
    if (lift.variation().assisted() && cautions.stream().noneMatch(said -> said.code().equals(Caution.Kind.NEGATIVE.code()))) {
      cautions.add(Caution.negative());
    }
    boolean banded = request.line().line().parts().stream()
        .anyMatch(part -> part.option(Option.Bands.class).isPresent() || part.option(Option.Reverse.class).isPresent());
    if (banded) {
      context.kit().bandsWithoutPartner().forEach(why -> cautions.add(Caution.bandsDiffer(why)));
    }
    return cautions.size() == line.cautions().size() ? line
        : new ResolvedLine(line.notation(), line.ramp(), line.sets(), line.today(), cautions);
  }

  /** That the number of the lift is taken from its parent's, where it is and the line asks for it. */
  private Optional<Caution> byRatio(Lift lift, Resolver.Request request) {
    LifterContext.Known own = context.known().get(lift.key());
    boolean derived = (own == null || own.numbers().estimated() == null) && request.numbers().estimated() != null;
    boolean used = request.line().line().parts().stream().anyMatch(part -> part.rpe() != null && part.load() == null
        || part.load() instanceof Load.Percent percent && percent.lift() == null);
    return derived && used && !lift.variation().assisted()
        ? context.estimates().ratio(lift).map(ratio -> Caution.byRatio(context.lifts().parent(lift).orElseThrow().name(), ratio))
        : Optional.empty();
  }
}
