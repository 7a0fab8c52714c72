package org.yarbel.web.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.Learned;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Observation.Trait;
import org.yarbel.core.track.Outlook;
import org.yarbel.core.track.TestedMax;
import org.yarbel.core.track.Track;
import org.yarbel.core.track.Tracker;
import org.yarbel.web.form.DayReader;

/** Runs the tracked max over a log that comes with the call. */
@RestController
class TrackController {
  private static final int MOST_OBSERVATIONS = 5_000;
  private static final int MOST_CHANCES = 100;
  /** Shares and factors, which a hundredth would cut too short. */
  private static final int PLACES = 6;

  /** A log. */
  record TrackRequest(@Nullable String unit, @Nullable String level, @Nullable Tested tested,
      @Nullable List<SeenSet> observations, @Nullable String at, @Nullable List<BigDecimal> chances) {}

  /** A tested max. */
  record Tested(@Nullable BigDecimal load, @Nullable String date) {}

  /** A set. */
  record SeenSet(@Nullable String date, @Nullable BigDecimal load, @Nullable Integer reps, @Nullable BigDecimal rpe,
      @Nullable Boolean easier, @Nullable Boolean toFailure, @Nullable Boolean contest, @Nullable Boolean nextMissed,
      @Nullable Boolean flagged, @Nullable Boolean touchAndGo) {}

  /** A day with an observation. */
  record Point(String date, @Nullable BigDecimal raw, @Nullable BigDecimal estimate, @Nullable BigDecimal sd) {}

  /** An estimate of the day asked for, with its form. */
  record Today(BigDecimal estimate, BigDecimal sd) {}

  /** What the log taught of the lifter. */
  record LearnedOf(BigDecimal stretch, BigDecimal ratingBias, BigDecimal formSd, BigDecimal ratingSd) {}

  /** How likely a single of a load is made; null where nothing is known of the max. */
  record Chance(BigDecimal load, @Nullable BigDecimal chance) {}

  /** The whole run. */
  record TrackAnswer(List<Point> points, @Nullable BigDecimal estimate, @Nullable BigDecimal sd, @Nullable Today today,
      @Nullable LearnedOf learned, @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable List<Chance> chances, List<Integer> skipped) {}

  @PostMapping("/api/v1/track")
  TrackAnswer track(@RequestBody TrackRequest request) {
    MassUnit unit = Numbers.unit(request.unit());
    Level level = Numbers.one(Level.class, "level", request.level(), Level.ADVANCED);
    List<SeenSet> given = Numbers.required("observations", request.observations());
    if (given.size() > MOST_OBSERVATIONS) {
      throw new OutOfRange("At most 5000 observations can be given.");
    }
    List<Observation> log = new ArrayList<>(given.size());
    for (SeenSet seen : given) {
      log.add(observation(Numbers.required("observations", seen), unit));
    }
    TestedMax tested = request.tested() == null ? null : tested(request.tested(), unit);
    List<Mass> asked = chances(request.chances(), unit);
    Track track = new Tracker(level, tested).run(log, unit);
    LocalDate last = last(log, tested);
    LocalDate at = request.at() == null ? last : day("at", request.at());
    if (at != null && last != null && at.isBefore(last)) {
      throw new OutOfRange("The day asked for, " + at + ", is before the last set, " + last + ".");
    }
    Outlook outlook = at == null ? null : track.on(at);
    return answer(track, outlook, request.chances() == null ? null : asked, unit);
  }

  private static @Nullable LocalDate last(List<Observation> log, @Nullable TestedMax tested) {
    LocalDate last = tested == null ? null : tested.date();
    for (Observation set : log) {
      last = last == null || set.date().isAfter(last) ? set.date() : last;
    }
    return last;
  }

  private static TrackAnswer answer(Track track, @Nullable Outlook outlook, @Nullable List<Mass> asked, MassUnit unit) {
    List<Point> points = track.points().stream().map(point -> point(point, unit)).toList();
    List<Chance> chances = asked == null ? null : asked.stream()
        .map(load -> new Chance(load.amountIn(unit, 2), outlook == null ? null : fine(outlook.chance(load)))).toList();
    if (outlook == null) {
      return new TrackAnswer(points, null, null, null, null, chances, track.skipped());
    }
    Estimate max = outlook.max(unit);
    Estimate today = outlook.today(unit);
    Learned learned = outlook.learned();
    return new TrackAnswer(points, Numbers.two(max.max(), unit), Numbers.two(max.sd(), unit),
        new Today(Numbers.two(today.max(), unit), Numbers.two(today.sd(), unit)),
        new LearnedOf(fine(learned.stretch().value()), fine(learned.ratingBias().value()), fine(learned.formSd().value()),
            fine(learned.ratingSd().value())), chances, track.skipped());
  }

  private static BigDecimal fine(double value) {
    return BigDecimal.valueOf(value).setScale(PLACES, RoundingMode.HALF_EVEN);
  }

  private static Point point(Track.Point point, MassUnit unit) {
    Mass raw = point.raw();
    Estimate estimate = point.estimate();
    return new Point(point.date().toString(), raw == null ? null : raw.amountIn(unit, 2),
        estimate == null ? null : Numbers.two(estimate.max(), unit), estimate == null ? null : Numbers.two(estimate.sd(), unit));
  }

  private static List<Mass> chances(@Nullable List<BigDecimal> loads, MassUnit unit) {
    if (loads == null) {
      return List.of();
    }
    if (loads.size() > MOST_CHANCES) {
      throw new OutOfRange("At most 100 chances can be asked for.");
    }
    return loads.stream().map(load -> Numbers.load("chance", Numbers.required("chances", load), unit)).toList();
  }

  private static TestedMax tested(Tested tested, MassUnit unit) {
    return new TestedMax(Numbers.load("tested max", Numbers.required("tested.load", tested.load()), unit),
        day("tested.date", Numbers.required("tested.date", tested.date())));
  }

  private static Observation observation(SeenSet seen, MassUnit unit) {
    Mass load = Numbers.atLeastNothing("load", Numbers.required("load", seen.load()), unit);
    int reps = Numbers.required("reps", seen.reps());
    if (reps < 0 || reps > 100) {
      throw new OutOfRange("The reps must be from 0 to 100 but were " + reps + ".");
    }
    return Observation.of(day("date", Numbers.required("date", seen.date())), load, reps, rpe(seen.rpe()))
        .with(Trait.EASIER, Boolean.TRUE.equals(seen.easier()) || underScale(seen.rpe()))
        .with(Trait.FAILED, Boolean.TRUE.equals(seen.toFailure()))
        .with(Trait.CONTEST, Boolean.TRUE.equals(seen.contest())).with(Trait.NEXT_MISSED, Boolean.TRUE.equals(seen.nextMissed()))
        .with(Trait.FLAGGED, Boolean.TRUE.equals(seen.flagged())).with(Trait.TOUCH_AND_GO, Boolean.TRUE.equals(seen.touchAndGo()));
  }

  /** A rating under 6, however far: the set was easier than the scale goes. */
  private static boolean underScale(@Nullable BigDecimal rpe) {
    return rpe != null && rpe.signum() >= 0 && rpe.compareTo(BigDecimal.valueOf(Rpe.MIN.value())) < 0;
  }

  private static @Nullable Rpe rpe(@Nullable BigDecimal value) {
    return value == null || underScale(value) ? null : Numbers.rpe(value);
  }

  private static LocalDate day(String name, String text) {
    LocalDate day;
    try {
      day = LocalDate.parse(text);
    } catch (DateTimeException notADay) {
      throw new NotAsDescribed("The " + name + " must be a day such as 2026-03-02.");
    }
    if (!DayReader.planned(day)) {
      throw new OutOfRange("The " + name + " must lie from 1900 to 2200 but was " + day + ".");
    }
    return day;
  }
}
