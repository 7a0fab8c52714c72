package org.yarbel.web.lifter;

import java.io.Serializable;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.RatioEstimate;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Equipment;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.LevelSuggestion;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.LearnedWords;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.form.Typed;
import org.yarbel.web.skyline.Sparkline;

/**
 * A lifter as the page shows them: every field as text, by its name, with what is wrong beside it.
 *
 * @param asked what to send along so that a doubted field is taken the next time
 * @param bodyLine the body mass over time
 * @param adds what is not written down yet, and what it would add
 * @param coachId whose lifter they are; null for nobody's
 * @param message above the form; null for none
 * @param undo how to put back what was taken out; null for nothing to undo
 */
public record LifterView(long id, int version, String name, Map<String, String> fields, Map<String, String> errors,
    Map<String, String> asked, List<LiftView> lifts, List<RowView> bodies, Sparkline bodyLine, List<ComplaintView> complaints,
    List<RowView> told, List<String> adds, Accounts.@Nullable SignIn signIn, @Nullable Long coachId,
    @Nullable Message message, @Nullable UndoView undo) {
  static final int OLD_TEST_WEEKS = 12;
  private static final double SURE = 0.9;
  private static final double EVEN = 0.5;
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

  /**
   * One lift's numbers that only show; its fields are in {@link LifterView#fields()}.
   *
   * @param source where the estimate comes from, and how old it is
   * @param suggestion the level that load over body mass suggests, when it is another than the claimed one
   */
  public record LiftView(String key, String name, @Nullable String estimate, @Nullable String source, @Nullable String training,
      @Nullable String tested, boolean old, @Nullable String suggestion, boolean differs, List<String> learned,
      @Nullable TaughtView taught) {}

  /**
   * What the log taught of a lift beside its max.
   *
   * @param singles the loads whose single goes up nine times in ten, and one in two
   */
  public record TaughtView(LearnedWords words, String singles) {}

  /** A body mass, or a told set. */
  public record RowView(long id, String text, String day) {}

  /** Where it hurts. */
  public record ComplaintView(long id, String place, String since, @Nullable String score, String aggravates, boolean over) {}

  /** What is said above the form; refused is what was not done. */
  public record Message(String text, boolean refused) {}

  /** A form that puts something back. */
  public record UndoView(String action, Map<String, String> fields) implements Serializable {}

  static LifterView of(LifterService.KnownNumber known, Accounts.@Nullable SignIn signIn, LocalDate today) {
    Lifter lifter = known.lifter();
    MassUnit unit = lifter.unit();
    Map<String, String> fields = fields(known, unit);
    List<LiftView> lifts = new ArrayList<>();
    Map<String, LiftNumbers> own = new HashMap<>();
    known.numbers().forEach(numbers -> own.put(numbers.lift(), numbers));
    for (Lift lift : known.lifts().all()) {
      LiftNumbers numbers = own.get(lift.key());
      if (lift.powerlift() || numbers != null && shows(lift, numbers)) {
        fields.put(lift.key() + ".level", (numbers == null ? Level.INTERMEDIATE : numbers.level()).name());
        lifts.add(lift(lift, numbers, known, today));
      }
    }
    return new LifterView(lifter.id(), lifter.version(), lifter.name(), fields, Map.of(), Map.of(), lifts,
        known.weighIns().stream().map(w -> new RowView(w.id(), shown(w.mass(), lifter), DAY.format(w.day())))
        .toList(), line(known.weighIns(), unit), known.complaints().stream().map(LifterView::complaint).toList(),
        known.told().stream().map(t -> new RowView(t.id(), told(t, known.lifts()), DAY.format(t.set().date()))).toList(),
        adds(known), signIn, lifter.coachId(), null, null);
  }

  // a lift on the body or a machine that only stands in the log has no numbers to write
  private static boolean shows(Lift lift, LiftNumbers numbers) {
    boolean loaded = lift.equipment() != Equipment.BODY && lift.equipment() != Equipment.OTHER;
    return loaded || numbers.listed() || numbers.tested() != null || numbers.goal() != null || numbers.estimateOn() != null;
  }

  private static Map<String, String> fields(LifterService.KnownNumber known, MassUnit unit) {
    Lifter lifter = known.lifter();
    Map<String, String> fields = new HashMap<>();
    fields.put("name", lifter.name());
    fields.put("unit", unit.name());
    fields.put("shownUnit", unit.name());
    fields.put("bothUnits", lifter.bothUnits() ? "yes" : "");
    fields.put("place", Long.toString(lifter.placeId()));
    known.furtherPlaces().forEach(id -> fields.put("also." + id, "yes"));
    fields.put("sex", lifter.sex() == null ? "" : lifter.sex().name());
    fields.put("birthYear", lifter.birthYear() == null ? "" : lifter.birthYear().toString());
    fields.put("height", lifter.heightMm() == null ? "" : plain(lifter.heightMm() / 10.0));
    fields.put("since", day(lifter.trainingSince()));
    fields.put("workLoad", lifter.workLoad() == null ? "" : lifter.workLoad().name());
    fields.put("diet", lifter.diet() == null ? "" : lifter.diet().name());
    for (DayOfWeek day : lifter.daysFree()) {
      fields.put("free." + day, "yes");
    }
    lifter.gear().forEach(gear -> fields.put("gear." + gear, "yes"));
    lifter.normalGear().from().forEach(from -> fields.put(LifterForm.goesOn(from.gear(), from.movement()), number(from.load(), unit)));
    Mass jump = lifter.ramp().jump();
    fields.put("ramp", jump == null ? "" : "even");
    fields.put("jump", number(jump, unit));
    Integer most = lifter.ramp().most();
    fields.put("rampMost", most == null ? "" : most.toString());
    fields.put("note", lifter.note());
    for (LiftNumbers numbers : known.numbers()) {
      String key = numbers.lift();
      fields.put(key + ".basis", numbers.basis().key());
      fields.put(key + ".training", Integer.toString(numbers.trainingPercent()));
      fields.put(key + ".tested", number(numbers.tested(), unit));
      fields.put(key + ".testedOn", day(numbers.testedOn()));
      fields.put(key + ".goal", number(numbers.goal(), unit));
      fields.put(key + ".goalOn", day(numbers.goalOn()));
    }
    return fields;
  }

  private static LiftView lift(Lift lift, @Nullable LiftNumbers numbers, LifterService.KnownNumber known, LocalDate today) {
    Lifter lifter = known.lifter();
    if (numbers == null) {
      return new LiftView(lift.key(), lift.name(), null, null, null, null, false, null, false, List.of(), null);
    }
    Estimate estimate = numbers.estimate(lifter.unit(), today);
    String byRatio = estimate == null ? byRatio(lift, known, today) : null;
    Mass training = numbers.numbers(lifter.unit(), today).training();
    LocalDate tested = numbers.testedOn();
    boolean old = tested != null && tested.isBefore(today.minusWeeks(OLD_TEST_WEEKS));
    Optional<Level> suggested = estimate == null || lifter.sex() == null || known.bodyMass() == null ? Optional.empty()
        : LevelSuggestion.of(lift, lifter.sex(), estimate.max(), known.bodyMass(), lifter.trainingSince(), today);
    return new LiftView(lift.key(), lift.name(),
        estimate == null ? byRatio : estimate.text(lifter.unit()) + other(estimate.max(), lifter),
        byRatio != null ? "by the ratio, until a rated set of its own" : source(numbers, today), training == null
        ? null : training.amountIn(lifter.unit(), 1).toPlainString(),
        tested == null ? null : ago(tested, today) + (numbers.testedWhere().isEmpty() ? "" : ", " + numbers.testedWhere()) + (old
            ? ", old: test again or trust the estimate" : ""), old,
        suggested.map(Level::word).orElse(null), suggested.filter(level -> level != numbers.level()).isPresent(),
        learned(lift, numbers, known.lifts()), taught(numbers, lifter.unit(), today));
  }

  /** What the parent's estimate gives by the ratio; null without one. */
  private static @Nullable String byRatio(Lift lift, LifterService.KnownNumber known, LocalDate today) {
    MassUnit unit = known.lifter().unit();
    Map<String, LiftNumbers> own = new HashMap<>();
    known.numbers().forEach(numbers -> own.put(numbers.lift(), numbers));
    RatioEstimate estimates = new RatioEstimate(known.lifts(),
        l -> Optional.ofNullable(own.get(l.key())).map(numbers -> numbers.estimate(unit, today)).map(Estimate::max),
        l -> Optional.ofNullable(own.get(l.key())).map(LiftNumbers::ratio));
    return estimates.byRatio(lift).map(max -> "about " + max.amountIn(unit, 1).toPlainString()).orElse(null);
  }

  private static @Nullable String source(LiftNumbers numbers, LocalDate today) {
    LocalDate on = numbers.estimateOn();
    if (on == null) {
      return null;
    }
    boolean fromTest = on.equals(numbers.testedOn());
    String from = fromTest ? "from the test, " + ago(on, today) : "from the log, last " + ago(on, today);
    boolean layoff = numbers.standing().filter(standing -> standing.layoffOn(today)).isPresent();
    return layoff ? from + "; falling, as the lift rests. First week back: RPE 7 at most" : from;
  }

  private static List<String> learned(Lift lift, LiftNumbers numbers, Catalogue lifts) {
    List<String> learned = new ArrayList<>();
    Lift.Ratio ratio = numbers.ratio() != null ? numbers.ratio() : lift.ratio();
    if (ratio != null) {
      learned.add(plain(ratio.percent()) + " ± " + plain(ratio.sd()) + " % of the "
          + lifts.parent(lift).orElseThrow().name().toLowerCase(Locale.ROOT)
          + (numbers.ratio() == null ? ", our default" : ", learned from " + Count.of(numbers.ratioExposures(), "day")));
    }
    return learned;
  }

  /** Whether the log taught anything of any lift beside its max. */
  public boolean taught() {
    return lifts.stream().map(LiftView::taught).anyMatch(taught -> taught != null && !taught.words().nothing());
  }

  /** Nothing where neither a test nor a set said anything. */
  private static @Nullable TaughtView taught(LiftNumbers numbers, MassUnit unit, LocalDate today) {
    return numbers.outlook(today).map(outlook -> new TaughtView(LearnedWords.of(outlook.learned(), numbers.level()),
        outlook.single(SURE, unit).amountIn(unit, 0).toPlainString() + " nine times in ten, "
            + outlook.single(EVEN, unit).amountIn(unit, 0).toPlainString() + " one in two")).orElse(null);
  }

  private static String told(LifterService.ToldLifter told, Catalogue lifts) {
    String name = lifts.ofKey(told.lift()).map(Lift::name).orElse(told.lift());
    return name + " " + told.set().load().text() + " × " + told.set().reps() + " " + EntryReader.words(told.set());
  }

  /** The body mass over time, the oldest first. */
  private static Sparkline line(List<WeighIn> newestFirst, MassUnit unit) {
    List<Double> values = new ArrayList<>(newestFirst.stream().map(w -> w.mass().amountIn(unit, 3).doubleValue()).toList());
    Collections.reverse(values);
    return Sparkline.of(values, 220, 34);
  }

  private static ComplaintView complaint(Complaint c) {
    return new ComplaintView(c.id(), c.place(), DAY.format(c.since()), c.score() == null ? null : c.score().toString(),
        c.aggravates(), c.overOn() != null);
  }

  private static List<String> adds(LifterService.KnownNumber known) {
    Lifter lifter = known.lifter();
    List<String> adds = new ArrayList<>();
    if (lifter.sex() == null || known.bodyMass() == null) {
      adds.add("Sex and body mass: points, body-mass loads, and a suggested level beside yours.");
    }
    if (lifter.trainingSince() == null) {
      adds.add("Training since: in the first year nobody is suggested as advanced.");
    }
    if (lifter.birthYear() == null) {
      adds.add("Birth year: age classes, and how long recovery takes.");
    }
    if (lifter.workLoad() == null || lifter.diet() == null) {
      adds.add("Work and diet: how often a deload is due.");
    }
    if (lifter.gear().isEmpty()) {
      adds.add("Normal gear: a set without it is then no true witness of the max.");
    }
    if (known.numbers().isEmpty()) {
      adds.add("One recent set or tested max of a lift: loads from percentages and RPE.");
    }
    return adds;
  }

  /** Whether where a piece of gear goes on cannot be as it was typed. */
  public boolean goesOnWrong() {
    return errors.keySet().stream().anyMatch(field -> field.startsWith("from."));
  }

  /** The same with what was typed and what is wrong with it. */
  LifterView typed(Typed typed, @Nullable String said) {
    Map<String, String> all = new HashMap<>(fields);
    if (typed.has("version")) {
      // an unticked box is not sent: what was ticked before is not what was typed
      all.keySet().removeIf(field -> field.startsWith("free.") || field.startsWith("gear.") || field.startsWith("also.")
          || field.equals("bothUnits"));
    }
    all.putAll(typed.fields());
    return new LifterView(id, version, name, all, typed.errors(), typed.asked(), lifts, bodies, bodyLine, complaints, told, adds,
        signIn, coachId, said == null ? null : new Message(said, true), undo);
  }

  LifterView saying(@Nullable String said, @Nullable UndoView again) {
    return new LifterView(id, version, name, fields, errors, asked, lifts, bodies, bodyLine, complaints, told, adds, signIn, coachId,
        said == null ? null : new Message(said, false), again);
  }

  public String field(String name) {
    return fields.getOrDefault(name, "");
  }

  public @Nullable String error(String name) {
    return errors.get(name);
  }

  private static String shown(Mass mass, Lifter lifter) {
    return mass.shownIn(lifter.unit()).text() + other(mass, lifter);
  }

  private static String other(Mass mass, Lifter lifter) {
    MassUnit other = lifter.unit() == MassUnit.KG ? MassUnit.LB : MassUnit.KG;
    return lifter.bothUnits() ? " (" + mass.amountIn(other, 0).toPlainString() + " " + other + ")" : "";
  }

  private static String ago(LocalDate day, LocalDate today) {
    long weeks = ChronoUnit.WEEKS.between(day, today);
    String date = DAY.format(day);
    return weeks < 1 ? date : date + ", " + Count.of(weeks, "week") + " ago";
  }

  private static String plain(double value) {
    return java.math.BigDecimal.valueOf(Math.round(value * 10) / 10.0).stripTrailingZeros().toPlainString();
  }

  private static String number(@Nullable Mass mass, MassUnit unit) {
    return mass == null ? "" : mass.shownIn(unit).number();
  }

  private static String day(@Nullable LocalDate day) {
    return day == null ? "" : day.toString();
  }
}
