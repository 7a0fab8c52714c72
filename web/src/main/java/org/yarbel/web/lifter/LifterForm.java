package org.yarbel.web.lifter;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.EntryDoubt;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.log.NormalGear;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.web.form.Typed;

/** What was typed of a lifter, read into what the core and the rows take; fields of a lift are named {@code squat.tested}. */
final class LifterForm {
  private final Typed typed;
  private final LocalDate today;

  LifterForm(Typed typed, LocalDate today) {
    this.typed = typed;
    this.today = today;
  }

  MassUnit unit() {
    return typed.unit("unit");
  }

  /** The unit the masses on the form were shown in; it stays when the lifter's unit is changed. */
  private MassUnit shownUnit() {
    return typed.empty("shownUnit") ? unit() : typed.unit("shownUnit");
  }

  void describe(Lifter lifter, Set<Long> places) {
    long place = 0;
    try {
      place = Long.parseLong(typed.text("place"));
    } catch (NumberFormatException none) {
      // answered below
    }
    if (!places.contains(place)) {
      typed.wrong("place", "Choose one of the club's places.");
    }
    lifter.describe(typed.name("name", "the name", 80), unit(), place);
  }

  /** The days of the week that were ticked. */
  Set<DayOfWeek> free() {
    Set<DayOfWeek> free = EnumSet.noneOf(DayOfWeek.class);
    for (DayOfWeek day : DayOfWeek.values()) {
      if (typed.ticked("free." + day)) {
        free.add(day);
      }
    }
    return free;
  }

  void more(Lifter lifter) {
    lifter.body(sex(), birthYear(), height(), typed.note("note", 500));
    lifter.life(typed.past("since", today), typed.choice("workLoad", Lifter.WorkLoad.class).orElse(null),
        typed.choice("diet", Lifter.Diet.class).orElse(null), free());
    lifter.likes(normalGear(), ramp(), typed.ticked("bothUnits"));
  }

  /** What is worn; a load it goes on from is kept of what is ticked. */
  private NormalGear normalGear() {
    Set<Gear> gear = EnumSet.noneOf(Gear.class);
    List<NormalGear.From> from = new ArrayList<>();
    for (Gear worn : Gear.values()) {
      if (typed.ticked("gear." + worn)) {
        gear.add(worn);
        for (Movement family : families(worn)) {
          Mass load = typed.mass(goesOn(worn, family), shownUnit());
          if (load != null) {
            from.add(new NormalGear.From(worn, family, load));
          }
        }
      }
    }
    return new NormalGear(gear, from);
  }

  /** The families of lifts a piece is worn for. */
  static List<Movement> families(Gear piece) {
    return Arrays.stream(Movement.values()).filter(piece::serves).toList();
  }

  /** The field of the load that a piece goes on from. */
  static String goesOn(Gear piece, Movement family) {
    return "from." + piece + "." + family;
  }

  private @Nullable Sex sex() {
    return typed.choice("sex", Sex.class).orElse(null);
  }

  private @Nullable Integer birthYear() {
    return typed.whole("birthYear", "The birth year", today.getYear() - 110, today.getYear() - 5);
  }

  /** In millimetres; typed in centimetres. */
  private @Nullable Integer height() {
    Double centimetres = typed.decimal("height", "The height in cm", 50, 260);
    return centimetres == null ? null : (int) Math.round(centimetres * 10);
  }

  private RampStyle ramp() {
    Integer most = typed.whole("rampMost", "The steps of a warm-up", RampStyle.LEAST_LIMIT, RampStyle.MOST_LIMIT);
    if (!typed.text("ramp").equals("even")) {
      return new RampStyle(null, most);
    }
    Mass jump = typed.mass("jump", shownUnit());
    if (jump != null && jump.compareTo(Mass.of("5", MassUnit.KG)) < 0) {
      typed.wrong("jump", "The jump must be at least 5 kg but was " + jump.text() + ".");
    }
    return new RampStyle(jump == null ? RampStyle.even(unit()).jump() : jump, most);
  }

  /** The further places that were ticked. */
  Set<Long> furtherPlaces(Set<Long> places) {
    Set<Long> further = new LinkedHashSet<>();
    places.stream().filter(id -> typed.ticked("also." + id) && !typed.text("place").equals(Long.toString(id))).forEach(further::add);
    return further;
  }

  /** The body mass in a field; asks once when it looks like another unit than the one before. */
  @Nullable Mass bodyMass(String field, MassUnit unit, @Nullable Mass before) {
    Mass mass = typed.bodyMass(field, unit);
    if (mass != null && before != null) {
      EntryDoubt.unit(mass, before).ifPresent(question -> typed.doubt(field, question));
    }
    return mass;
  }

  /** Whether a lift stands on the form, or was chosen to stand there next. */
  boolean has(Lift lift) {
    return typed.has(lift.key() + ".level") || typed.text("addLift").equals(lift.key());
  }

  /** Reads a lift's numbers into its row. */
  void numbers(Lift lift, LiftNumbers own) {
    String key = lift.key();
    if (typed.text("addLift").equals(key)) {
      own.list();
    }
    own.decide(typed.choice(key + ".level", Level.class).orElse(Level.INTERMEDIATE),
        Optional.of(typed.text(key + ".basis")).flatMap(Basis::ofKey).filter(b -> b != Basis.TODAY).orElse(Basis.ESTIMATED));
    Integer percent = typed.whole(key + ".training", "The training max in % of the estimated max",
        (int) Math.round(100 * MaxNumbers.LEAST_TRAINING_SHARE), (int) Math.round(100 * MaxNumbers.MOST_TRAINING_SHARE));
    own.trainAt(percent == null ? LiftNumbers.DEFAULT_TRAINING_PERCENT : percent);
    Mass known = own.estimate(unit(), today) == null ? own.tested() : own.estimate(unit(), today).max();
    Mass tested = typed.mass(key + ".tested", shownUnit());
    LocalDate on = typed.past(key + ".testedOn", today);
    if (tested != null && typed.empty(key + ".testedOn")) {
      typed.wrong(key + ".testedOn", "Write the day it was tested, too.");
    }
    if (tested != null && known != null) {
      EntryDoubt.unit(tested, known).ifPresent(question -> typed.doubt(key + ".tested", question));
    }
    Mass goal = typed.mass(key + ".goal", shownUnit());
    LocalDate by = typed.day(key + ".goalOn", today);
    if (goal != null && known != null) {
      EntryDoubt.unit(goal, known).ifPresent(question -> typed.doubt(key + ".goal", question));
    }
    if (typed.fine()) {
      own.test(tested, on);
      own.aim(goal, by);
    }
  }

  /** A lift with its first number: a tested max, or a set and how hard it was. */
  record First(Lift lift, Entry entry) {}

  /** The first numbers of a new lifter: rows 1 to 3, those without a load left out. */
  List<First> firsts(Catalogue lifts) {
    List<First> firsts = new ArrayList<>();
    Map<Movement, Mass> maxes = new EnumMap<>(Movement.class);
    Map<Movement, String> fields = new EnumMap<>(Movement.class);
    Set<Lift> seen = new LinkedHashSet<>();
    for (int row = 1; row <= 3; row++) {
      Optional<Lift> lift = lifts.ofKey(typed.text("lift." + row));
      EntryReader reader = new EntryReader(typed, "." + row, unit(), today);
      Entry entry = reader.read();
      if (lift.isEmpty() && reader.anything()) {
        typed.wrong("lift." + row, "Choose the lift.");
      } else if (lift.isPresent() && entry != null) {
        if (!seen.add(lift.get())) {
          typed.wrong("lift." + row, "This lift stands above already.");
        }
        firsts.add(new First(lift.get(), entry));
        if (lift.get().powerlift()) {
          maxes.put(lift.get().movement(), entry.max());
          fields.put(lift.get().movement(), "load." + row);
        }
      }
    }
    EntryDoubt.among(maxes).forEach((movement, question) -> typed.doubt(fields.get(movement), question));
    return firsts;
  }
}
