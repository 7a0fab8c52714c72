package org.yarbel.web.api;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.WarmUp;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.ParsedLine;
import org.yarbel.core.notation.WorkLine;

/** Works a line out for numbers and a kit that come with the call. */
@RestController
class ResolveController {
  private static final int MOST_LOGGED = 1_000;
  private static final int MOST_OTHERS = 100;

  private final KitReader kits;

  ResolveController(KitReader kits) {
    this.kits = kits;
  }

  @PostMapping("/api/v1/resolve")
  ResolveAnswer resolve(@RequestBody ResolveRequest request) {
    MassUnit unit = Numbers.unit(request.unit());
    String work = Numbers.required("work", request.work());
    MaxNumbers numbers = maxes(Numbers.required("maxes", request.maxes()), unit);
    Map<String, MaxNumbers> others = others(request.others(), unit);
    Basis basis = Numbers.one(Basis.class, "basis", request.basis(), Basis.ESTIMATED);
    if (basis == Basis.TODAY) {
      throw new NotAsDescribed("The basis must be one of: tested, estimated, training, goal.");
    }
    Level level = request.level() == null ? null : Numbers.one(Level.class, "level", request.level(), Level.INTERMEDIATE);
    Movement movement = Numbers.one(Movement.class, "lift", request.lift(), Movement.OTHER);
    RepMaxCurve curve = Numbers.one(RepMaxCurve.class, "curve", request.curve(), RepMaxCurve.HOUSE);
    Mass bodyMass = Numbers.optionalLoad("bodyMass", request.bodyMass(), unit);
    Loadables loadables = kits.loadables(request.bar(), request.collars(), request.plates(), unit);
    ParsedLine line = WorkLine.parse(work);
    List<LoggedSet> logged = logged(request.logged(), line.line(), unit);
    return ResolveAnswer.of(Resolver.resolve(new Resolver.Request(line, basis, numbers, others, bodyMass,
        loadables, unit, new EffortChart(curve), movement, Boolean.TRUE.equals(request.partial()), logged,
        Boolean.FALSE.equals(request.ramp()) ? null : WarmUp.SHRINKING, level)), lowRatings(request.logged(), line.line()), unit);
  }

  private static MaxNumbers maxes(ResolveRequest.Maxes maxes, MassUnit unit) {
    return new MaxNumbers(Numbers.optionalLoad("tested max", maxes.tested(), unit),
        Numbers.optionalLoad("estimated max", maxes.estimated(), unit),
        Numbers.optionalLoad("training max", maxes.training(), unit), Numbers.optionalLoad("goal max", maxes.goal(), unit));
  }

  private static Map<String, MaxNumbers> others(@Nullable Map<String, ResolveRequest.Maxes> others, MassUnit unit) {
    Map<String, MaxNumbers> numbers = new HashMap<>();
    if (others != null) {
      if (others.size() > MOST_OTHERS) {
        throw new OutOfRange("At most 100 other lifts can be given.");
      }
      others.forEach((lift, maxes) ->
          numbers.put(lift.toLowerCase(Locale.ROOT), maxes(Numbers.required("others." + lift, maxes), unit)));
    }
    return numbers;
  }

  private static List<LoggedSet> logged(@Nullable List<ResolveRequest.Logged> given, WorkLine line, MassUnit unit) {
    List<LoggedSet> logged = new ArrayList<>();
    if (given == null) {
      return logged;
    }
    List<LoggedSet.Place> places = LoggedSet.places(line);
    if (given.size() > MOST_LOGGED) {
      throw new OutOfRange("At most 1000 logged sets can be given.");
    }
    for (int i = 0; i < given.size(); i++) {
      ResolveRequest.Logged set = Numbers.required("logged", given.get(i));
      LoggedSet.Place place = place(set, i, places);
      int reps = Numbers.required("logged.reps", set.reps());
      if (reps < 0 || reps > 100) {
        throw new OutOfRange("The logged reps must be from 0 to 100 but were " + reps + ".");
      }
      BigDecimal rated = set.rpe();
      Rpe rpe = rated == null || low(rated) ? null : Numbers.rpe(rated);
      Mass load = Numbers.atLeastNothing("logged load", Numbers.required("logged.load", set.load()), unit);
      if (logged.stream().anyMatch(l -> l.part() == place.part() && l.set() == place.set())) {
        throw new OutOfRange("The set " + place.part() + "." + place.set() + " is logged twice.");
      }
      logged.add(new LoggedSet(place.part(), place.set(), load, reps, rpe));
    }
    return logged;
  }

  /** Under RPE 6 a set is warm-up: it is answered as it was rated, and no max is worked out from it. */
  private static boolean low(BigDecimal rated) {
    boolean halves = rated.multiply(BigDecimal.valueOf(2)).stripTrailingZeros().scale() <= 0;
    return halves && rated.signum() >= 0 && rated.compareTo(BigDecimal.valueOf(Rpe.MIN.value())) < 0;
  }

  private static Map<LoggedSet.Place, BigDecimal> lowRatings(@Nullable List<ResolveRequest.Logged> given, WorkLine line) {
    Map<LoggedSet.Place, BigDecimal> ratings = new HashMap<>();
    List<LoggedSet.Place> places = LoggedSet.places(line);
    for (int i = 0; given != null && i < given.size(); i++) {
      BigDecimal rated = given.get(i).rpe();
      if (rated != null && low(rated)) {
        ratings.put(place(given.get(i), i, places), rated);
      }
    }
    return ratings;
  }

  private static LoggedSet.Place place(ResolveRequest.Logged set, int index, List<LoggedSet.Place> places) {
    Integer part = set.part();
    Integer number = set.set();
    if ((part == null) != (number == null)) {
      throw new NotAsDescribed("A logged set names both part and set, or neither.");
    }
    if (part == null || number == null) {
      if (index >= places.size()) {
        throw new OutOfRange("More sets are logged than the line has: " + places.size() + ".");
      }
      return places.get(index);
    }
    LoggedSet.Place place = new LoggedSet.Place(part, number);
    if (!places.contains(place)) {
      throw new OutOfRange("The line has no set " + part + "." + number + "; parts and sets count from 1.");
    }
    return place;
  }
}
