package org.yarbel.core.call;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.log.CheckIn;
import org.yarbel.core.mass.Mass;

/** The signs that an easy week would do good, each with what shows it. Our own default. */
final class DeloadSigns {
  private static final int FRESH_DAYS = 10;
  private static final int WEEK = 7;
  private static final int SAME_LOAD_DAYS = 21;
  private static final int MISSES = 2;
  private static final double OPEN_FROM = 0.775;
  private static final double OPEN_TO = 0.825;
  private static final int OPEN_FEW = 3;
  private static final int LOW = 2;
  private static final int LOW_OF_FOUR = 3;
  private static final int FOUR = 4;
  private static final int SHORT_NIGHTS = 3;

  private DeloadSigns() {}

  /** One sign. */
  record Sign(String words, List<Fact> facts) {}

  /** Those of the last days that came after the last easy week. */
  static List<Sign> of(Picture picture) {
    LocalDate easy = picture.deloads().behind().stream().reduce((one, next) -> next).map(monday -> monday.plusDays(WEEK - 1L))
        .orElse(LocalDate.MIN);
    LocalDate from = later(picture.today().minusDays(FRESH_DAYS), easy);
    List<Sign> signs = new ArrayList<>();
    for (Function<Look, Optional<Sign>> sign : List.<Function<Look, Optional<Sign>>>of(DeloadSigns::falls, DeloadSigns::harder,
        DeloadSigns::misses, DeloadSigns::open, look -> low(look, "joints", CheckIn::joints, 2, 2),
        look -> low(look, "energy", CheckIn::energy, LOW_OF_FOUR, FOUR), DeloadSigns::nights, DeloadSigns::slower)) {
      sign.apply(new Look(picture, from)).ifPresent(signs::add);
    }
    return signs;
  }

  private static LocalDate later(LocalDate one, LocalDate other) {
    return one.isAfter(other) ? one : other;
  }

  private record Look(Picture picture, LocalDate after) {
    List<Past> fresh(String lift) {
      return picture.exposures(lift).stream().filter(past -> past.day().isAfter(after)).toList();
    }
  }

  /** The estimate down on two exposures running and by over one sd. */
  private static Optional<Sign> falls(Look look) {
    for (Picture.OfLift lift : look.picture().lifts().values()) {
      List<Picture.Point> last = lift.last(3);
      if (last.size() == 3 && last.get(2).day().isAfter(look.after()) && down(last.get(0), last.get(1)) && down(last.get(1), last.get(2))
          && last.get(0).max().nanograms() - last.get(2).max().nanograms() > last.get(2).sd().nanograms()) {
        return Optional.of(new Sign("the estimate of the " + Say.inside(lift.lift().name()) + " fell twice, from "
            + Say.about(last.get(0).max()) + " to " + Say.about(last.get(2).max()), last.stream().map(point -> Say.fact(lift.lift().key(),
                point)).toList()));
      }
    }
    return Optional.empty();
  }

  private static boolean down(Picture.Point from, Picture.Point to) {
    return to.max().compareTo(from.max()) < 0;
  }

  /** The same load and reps a point harder than within three weeks before. */
  private static Optional<Sign> harder(Look look) {
    for (String lift : look.picture().trained()) {
      List<Past> all = look.picture().exposures(lift);
      for (Past now : look.fresh(lift)) {
        for (Past then : all) {
          boolean before = then.day().isBefore(now.day()) && !then.day().isBefore(now.day().minusDays(SAME_LOAD_DAYS));
          Optional<Sign> found = before && !now.flagged() && !then.flagged() ? harder(now, then) : Optional.empty();
          if (found.isPresent()) {
            return found;
          }
        }
      }
    }
    return Optional.empty();
  }

  private static Optional<Sign> harder(Past now, Past then) {
    Picture.Lifted first = now.sets().get(0);
    Picture.Lifted was = then.sets().get(0);
    boolean same = first.load().hits(was.load()) && first.reps() == was.reps() && first.effort() >= was.effort() + 1;
    return same ? Optional.of(new Sign(first.load().text() + " × " + first.reps() + " was a point harder than on " + Say.day(then.day()),
        List.of(Say.fact(now.day(), first), Say.fact(then.day(), was)))) : Optional.empty();
  }

  /** Two missed minimums in seven days. */
  private static Optional<Sign> misses(Look look) {
    List<Fact> facts = new ArrayList<>();
    LocalDate week = look.picture().today().minusDays(WEEK);
    look.picture().lifted().stream().filter(session -> session.day().isAfter(week) && session.day().isAfter(look.after()))
        .forEach(session -> session.lines().stream().flatMap(line -> line.sets().stream()).filter(Picture.Lifted::missed)
            .forEach(set -> facts.add(Say.fact(session.day(), set))));
    return facts.size() >= MISSES ? Optional.of(new Sign(facts.size() + " minimums missed in seven days", facts)) : Optional.empty();
  }

  /** An open set at 80 % that gave three or fewer. */
  private static Optional<Sign> open(Look look) {
    for (String lift : look.picture().trained()) {
      Mass max = look.picture().context().numbers(look.picture().context().lift(lift)).best();
      for (Past past : look.fresh(lift)) {
        for (Picture.Lifted set : past.sets()) {
          double share = max == null || max.isZero() ? 0 : set.load().ratioTo(max);
          if (set.open() && share >= OPEN_FROM && share <= OPEN_TO && set.reps() <= OPEN_FEW) {
            return Optional.of(new Sign("an open set at " + Math.round(100 * share) + " % gave " + set.reps(),
                List.of(Say.fact(past.day(), set))));
          }
        }
      }
    }
    return Optional.empty();
  }

  private static Optional<Sign> low(Look look, String what, Function<CheckIn, @Nullable Integer> answer, int times, int of) {
    List<Picture.Answers> told = new ArrayList<>(look.picture().answers().stream().filter(said -> answer.apply(said.said()) != null)
        .toList());
    List<Picture.Answers> last = told.subList(Math.max(0, told.size() - of), told.size());
    List<Picture.Answers> lows = last.stream().filter(said -> {
      Integer given = answer.apply(said.said());
      return given != null && given <= LOW;
    }).toList();
    boolean fresh = !last.isEmpty() && last.get(last.size() - 1).day().isAfter(look.after());
    return fresh && lows.size() >= times && last.size() >= of ? Optional.of(new Sign(what + " at 2 or less " + (times == of
        ? Say.times(times) + " running" : lows.size() + " times of " + of), lows.stream().map(Say::fact).toList())) : Optional.empty();
  }

  /** Under six hours on three nights of seven. */
  private static Optional<Sign> nights(Look look) {
    LocalDate week = look.picture().today().minusDays(WEEK);
    List<Picture.Answers> nights = look.picture().answers().stream().filter(said -> said.day().isAfter(week) && said.day()
        .isAfter(look.after()) && said.said().sleep() != null && said.said().sleep() < CheckIn.SHORT_UNDER).toList();
    return nights.size() >= SHORT_NIGHTS ? Optional.of(new Sign("under six hours of sleep on " + nights.size() + " nights of seven",
        nights.stream().map(Say::fact).toList())) : Optional.empty();
  }

  /** The bar slower than the lifter's own line on two exposures. */
  private static Optional<Sign> slower(Look look) {
    for (String lift : look.picture().trained()) {
      Optional<Slower.Found> found = Slower.found(look.picture(), lift).filter(one -> one.newest().isAfter(look.after()));
      if (found.isPresent()) {
        return Optional.of(new Sign("the bar was slower than the lifter's own line", found.get().facts()));
      }
    }
    return Optional.empty();
  }
}
