package org.yarbel.web.api;

import java.math.BigDecimal;
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
import org.yarbel.core.mass.Refused;
import org.yarbel.core.track.MaxTracker;
import org.yarbel.core.track.Observation;
import org.yarbel.web.form.DayReader;

/** Runs the tracked max over a log that comes with the call. */
@RestController
class TrackController {
  private static final int MOST_OBSERVATIONS = 5_000;

  /** A log. */
  record TrackRequest(@Nullable String unit, @Nullable String level, @Nullable Tested tested,
      @Nullable List<SeenSet> observations, @Nullable String at) {}

  /** A tested max. */
  record Tested(@Nullable BigDecimal load, @Nullable String date) {}

  /** A set. */
  record SeenSet(@Nullable String date, @Nullable BigDecimal load, @Nullable Integer reps, @Nullable BigDecimal rpe,
      @Nullable Boolean toFailure, @Nullable Boolean contest, @Nullable Boolean nextMissed, @Nullable Boolean flagged,
      @Nullable Boolean touchAndGo) {}

  /** A day with an observation. */
  record Point(String date, BigDecimal raw, @Nullable BigDecimal estimate, @Nullable BigDecimal sd) {}

  /** The whole run. */
  record TrackAnswer(List<Point> points, @Nullable BigDecimal estimate, @Nullable BigDecimal sd, List<Integer> skipped) {}

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
    MaxTracker tracker = new MaxTracker(level, request.tested() == null ? null : tested(request.tested(), unit));
    MaxTracker.Track track;
    try {
      track = request.at() == null ? tracker.run(log, unit) : tracker.run(log, day("at", request.at()), unit);
    } catch (Refused tooEarly) {
      throw new OutOfRange(tooEarly.sentence());
    }
    MaxTracker.Estimate now = track.now();
    return new TrackAnswer(track.points().stream().map(point -> point(point, unit)).toList(),
        now == null ? null : Numbers.two(now.max(), unit), now == null ? null : Numbers.two(now.sd(), unit), track.skipped());
  }

  private static Point point(MaxTracker.Point point, MassUnit unit) {
    MaxTracker.Estimate estimate = point.estimate();
    return new Point(point.date().toString(), point.raw().amountIn(unit, 2),
        estimate == null ? null : Numbers.two(estimate.max(), unit), estimate == null ? null : Numbers.two(estimate.sd(), unit));
  }

  private static MaxTracker.Tested tested(Tested tested, MassUnit unit) {
    return new MaxTracker.Tested(Numbers.load("tested max", Numbers.required("tested.load", tested.load()), unit),
        day("tested.date", Numbers.required("tested.date", tested.date())));
  }

  private static Observation observation(SeenSet seen, MassUnit unit) {
    Mass load = Numbers.atLeastNothing("load", Numbers.required("load", seen.load()), unit);
    int reps = Numbers.required("reps", seen.reps());
    if (reps < 0 || reps > 100) {
      throw new OutOfRange("The reps must be from 0 to 100 but were " + reps + ".");
    }
    return new Observation(day("date", Numbers.required("date", seen.date())), load, reps, rpe(seen.rpe()),
        Boolean.TRUE.equals(seen.toFailure()), Boolean.TRUE.equals(seen.contest()), Boolean.TRUE.equals(seen.nextMissed()),
        Boolean.TRUE.equals(seen.flagged()), Boolean.TRUE.equals(seen.touchAndGo()));
  }

  /** A rating below 6 is warm-up: no estimate is made from it. */
  private static @Nullable Rpe rpe(@Nullable BigDecimal value) {
    if (value == null || value.signum() >= 0 && value.compareTo(BigDecimal.valueOf(Rpe.MIN.value())) < 0) {
      return null;
    }
    return Numbers.rpe(value);
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
