package org.yarbel.web.call;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.call.Picture;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.track.Estimate;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.Programs;
import org.yarbel.web.who.SignedIn;

/** Reads what moved the loads of a lift, and says how much of it may move by itself. */
@Service
class MovesService {
  private final LifterRepository lifters;
  private final LiftNumbersRepository numbers;
  private final LoadMoves moves;
  private final Programs programs;
  private final Lifts lifts;
  private final ClubClock clock;

  MovesService(LifterRepository lifters, LiftNumbersRepository numbers, LoadMoves moves, Programs programs, Lifts lifts, ClubClock clock) {
    this.lifters = lifters;
    this.numbers = numbers;
    this.moves = moves;
    this.programs = programs;
    this.lifts = lifts;
    this.clock = clock;
  }

  /**
   * A lift of a lifter.
   *
   * @param key empty where no lift is known
   * @param own its numbers; null with it
   */
  record LiftMoves(Lifter lifter, List<Lift> lifts, String key, String name, @Nullable LiftNumbers own, List<LoadMoves.Moved> moves) {}

  /** What moved a lift; of the first of theirs where none is named. */
  @Transactional(readOnly = true)
  LiftMoves of(long lifterId, String wanted) {
    Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
    List<LiftNumbers> own = numbers.findByLifterIdIn(List.of(lifterId));
    Catalogue catalogue = lifts.catalogue();
    List<Lift> known = catalogue.all().stream().filter(lift -> own.stream().anyMatch(one -> one.lift().equals(lift.key()))).toList();
    Optional<Lift> open = known.stream().filter(lift -> lift.key().equals(wanted)).findFirst().or(() -> known.stream().findFirst());
    String key = open.map(Lift::key).orElse("");
    return new LiftMoves(lifter, known, key, open.map(Lift::name).orElse(""), own.stream().filter(one -> one.lift().equals(key)).findFirst()
        .orElse(null), key.isEmpty() ? List.of() : moves.of(lifterId, key, MovesController.shown()));
  }

  /** Lets loads follow the estimate, or wait for the coach from where they stand; the change is undone like any other of the plan. */
  @Transactional
  String let(long lifterId, String lift, Picture.Moves how, SignedIn who) {
    Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
    LiftNumbers own = numbers.findByLifterIdAndLift(lifterId, lift).orElseThrow(NotFound::new);
    if (own.moves() == how) {
      return "It is like that already.";
    }
    Estimate now = own.estimate(lifter.unit(), clock.today());
    Mass agreed = own.agreed(lifter.unit());
    Mass estimate = now == null ? null : now.max();
    Mass from = agreed == null ? estimate : agreed;
    String name = lifts.catalogue().ofKey(lift).map(Lift::name).orElse(lift);
    programs.write(lifter, clock.today(), name + ": loads " + how.word(), who, () -> {
      own.move(how, from);
      numbers.saveAndFlush(own);
    });
    return switch (how) {
      case FOLLOW -> "Loads of the " + name + " follow the estimate.";
      case ASK -> "Loads of the " + name + " follow the estimate by 2 % from " + text(from) + " on; beyond that a call asks you.";
      case HOLD -> "Loads of the " + name + " stay at " + text(from)
          + " until you say otherwise; a call tells you when the estimate has moved.";
    };
  }

  private static String text(@Nullable Mass mass) {
    return mass == null ? "what is known" : mass.amountIn(mass.unit(), 1).toPlainString() + " " + mass.unit().symbol();
  }
}
