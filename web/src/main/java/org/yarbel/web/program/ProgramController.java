package org.yarbel.web.program;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.ExtendedModelMap;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Occasions.Turn;
import org.yarbel.core.plan.progress.Parameter;
import org.yarbel.core.plan.progress.Settings;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.club.Places;
import org.yarbel.web.form.Typed;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** A lifter's methods and easy weeks, and the pages that tell each method in plain words. */
@Controller
class ProgramController {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

  private final ProgressionRepository progressions;
  private final LifterRepository lifters;
  private final LifterContexts contexts;
  private final Programs programs;
  private final Easy easy;
  private final Lifts lifts;
  private final Places places;
  private final ClubClock clock;

  ProgramController(ProgressionRepository progressions, LifterRepository lifters, LifterContexts contexts, Programs programs, Easy easy,
      Lifts lifts, Places places, ClubClock clock) {
    this.places = places;
    this.progressions = progressions;
    this.lifters = lifters;
    this.contexts = contexts;
    this.programs = programs;
    this.easy = easy;
    this.lifts = lifts;
    this.clock = clock;
  }

  /** One method at work. */
  public record Row(long id, String lift, String method, String key, String days, String since, @Nullable String until, String set, boolean memory, boolean ofPlan, boolean ended) {}

  /** A field of a method's parameter. */
  public record Field(String key, String words, String value, String hint, @Nullable String error) {}

  /** A day of the week to tick. */
  public record DayBox(String name, String word, boolean ticked, boolean free) {}

  /** The form of one method. */
  public record Form(@Nullable Long id, String lift, String method, String title, String starts, List<DayBox> days, String turn,
      List<Field> fields, Map<String, String> errors) {
    public @Nullable String error(String field) {
      return errors.get(field);
    }
  }

  @GetMapping("/lifters/{id}/progressions")
  String page(@PathVariable long id, @RequestParam(defaultValue = "") String lift, @RequestParam(defaultValue = "") String method,
      @RequestParam(required = false) @Nullable Long edit, Model model) {
    Lifter lifter = lifter(id);
    Form form = null;
    if (edit != null) {
      form = form(lifter, own(lifter, edit));
    } else if (!method.isEmpty()) {
      Method chosen = Method.ofKey(method).orElseThrow(NotFound::new);
      Optional<Lift> named = lifts.catalogue().named(lift);
      if (named.isEmpty()) {
        model.addAttribute("liftError", lifts.catalogue().unknown(lift));
      } else {
        form = new Form(null, named.get().name(), chosen.key(), chosen.title(), Programs.monday(clock.today())
            .toString(), days(lifter, lifter.daysFree(), false), Turn.EVERY.name(),
            fields(chosen, Map.of(), Map.of()), Map.of());
      }
    }
    fill(model, lifter, form);
    model.addAttribute("typedLift", lift);
    model.addAttribute("typedMethod", method);
    return "program/page";
  }

  /** What the method would write for this lifter by what stands in its form; null where that cannot be. */
  private @Nullable MethodExample example(Form form, LifterContext context) {
    Map<String, String> typed = form.fields().stream().collect(Collectors.toMap(Field::key, Field::value));
    Optional<Lift> lift = context.lifts().named(form.lift());
    return lift.flatMap(named -> Method.ofKey(form.method()).map(method -> MethodExample.of(method, named, context, typed))).orElse(null);
  }

  private void fill(Model model, Lifter lifter, @Nullable Form form) {
    LifterContext context = contexts.of(lifter, null);
    model.addAttribute("lifterId", lifter.id());
    model.addAttribute("lifter", lifter.name());
    model.addAttribute("rows", progressions.findByLifterIdOrderById(lifter.id()).stream().filter(p -> p.endsOn() == null
        || p.endsOn().isAfter(p.startsOn()) || p.blockNo() == null).map(p -> row(p, context, clock.today())).toList());
    model.addAttribute("methods", Method.values());
    model.addAttribute("lifts", lifts.offered());
    model.addAttribute("turns", Arrays.stream(Turn.values()).map(turn -> Map.entry(turn.name(), Progression.words(turn))).toList());
    model.addAttribute("form", form);
    model.addAttribute("example", form == null ? null : example(form, context));
    model.addAttribute("kinds", Deload.values());
    model.addAttribute("every", lifter.deloadEvery());
    model.addAttribute("kind", lifter.deloadKind());
    Level level = context.known().values().stream().map(LifterContext.Known::level).filter(Objects::nonNull).max(Comparator.naturalOrder())
        .orElse(null);
    Deload.Interval interval = Deload.Interval.of(level, lifter.strained());
    model.addAttribute("interval", interval.least() + "–" + interval.most());
    model.addAttribute("noDays", lifter.daysFree().isEmpty());
  }

  private static Row row(Progression p, LifterContext context, LocalDate today) {
    Map<String, String> usual = Settings.defaults(p.method()).texts();
    String set = p.method().rule().parameters().stream().filter(q -> !p.settings().getOrDefault(q.key(), q.fallback()).equals(usual.get(q.key())))
        .map(q -> q.words() + " " + p.settings().get(q.key())).collect(Collectors.joining("; "));
    String days = p.days().stream().map(d -> d.getDisplayName(TextStyle.SHORT, Locale.ENGLISH))
        .collect(Collectors.joining(" ")) + (p.turn() == Turn.EVERY ? "" : ", " + Progression.words(p.turn()));
    return new Row(p.id(), context.lift(p.lift()).name(), p.method().title(), p.method().key(), days, DAY.format(p.startsOn()),
        p.endsOn() == null ? null : DAY.format(p.endsOn()), set, p.method().rule().memory(), p.blockNo() != null, !p.runsOn(today));
  }

  private Form form(Lifter lifter, Progression p) {
    return new Form(p.id(), lifts.catalogue().ofKey(p.lift()).map(Lift::name).orElse(p.lift()), p.method().key(), p.method()
        .title(), p.startsOn().toString(),
        days(lifter, p.days(), true), p.turn().name(), fields(p.method(), p.settings(), Map.of()), Map.of());
  }

  private static List<DayBox> days(Lifter lifter, Set<DayOfWeek> ticked, boolean chosen) {
    List<DayBox> boxes = new ArrayList<>();
    for (DayOfWeek day : DayOfWeek.values()) {
      boxes.add(new DayBox(day.name(), day.getDisplayName(TextStyle.SHORT, Locale.ENGLISH), chosen
          && ticked.contains(day), lifter.daysFree().contains(day)));
    }
    return boxes;
  }

  private static List<Field> fields(Method method, Map<String, String> values, Map<String, String> errors) {
    return method.rule().parameters().stream().map(p -> new Field(p.key(), p.words(), values.getOrDefault(p.key(), p.fallback()), hint(p),
        errors.get(p.key()))).toList();
  }

  private static String hint(Parameter parameter) {
    return switch (parameter.kind()) {
      case LIFTS -> "lifts with commas; empty for the usual ones";
      case MASS -> "empty: worked out";
      case NUMBERS -> "numbers with commas";
      default -> "";
    };
  }

  @PostMapping("/lifters/{id}/progressions")
  ModelAndView save(@PathVariable long id, @RequestParam Map<String, String> all, @RequestParam(name = "days",
      required = false) @Nullable List<String> typedDays,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = lifter(id);
    Method method = Method.ofKey(all.getOrDefault("method", "")).orElseThrow(NotFound::new);
    Typed typed = new Typed(all);
    Map<String, String> errors = new HashMap<>();
    Optional<Lift> lift = lifts.catalogue().named(typed.text("lift"));
    if (lift.isEmpty()) {
      errors.put("lift", lifts.catalogue().unknown(typed.text("lift")));
    }
    LocalDate starts = typed.day("starts", clock.today());
    if (starts == null) {
      errors.put("starts", Optional.ofNullable(typed.errors().get("starts")).orElse("Write the day it starts, such as " + clock.today() + "."));
    }
    Set<DayOfWeek> days = chosen(typedDays);
    dayError(lifter, days).ifPresent(sentence -> errors.put("days", sentence));
    Map<String, String> parameters = new HashMap<>();
    method.rule().parameters().forEach(p -> parameters.put(p.key(), typed.text("p." + p.key())));
    Settings.Checked checked = Settings.check(method, parameters, lifts.catalogue());
    Turn turn = typed.choice("turn", Turn.class).orElse(Turn.EVERY);
    Long own = all.getOrDefault("own", "").matches("\\d{1,18}") ? Long.valueOf(all.get("own")) : null;
    if (!errors.isEmpty() || !checked.errors().isEmpty()) {
      ModelAndView again = new ModelAndView("program/page");
      again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
      ExtendedModelMap model = new ExtendedModelMap();
      fill(model, lifter, new Form(own, typed.text("lift"), method.key(), method.title(), typed.text("starts"), days(lifter, days, true), turn.name(),
          fields(method, parameters, checked.errors()), errors));
      again.addAllObjects(model);
      return again;
    }
    Progression progression = own == null ? new Progression(lifter.id(), lift.orElseThrow().key(), method) : own(lifter, own);
    Map<String, String> settings = new HashMap<>(checked.settings().texts());
    remember(lifter, progression, method, settings);
    progression.set(settings, Programs.monday(Objects.requireNonNull(starts)), days, turn);
    boolean wrote = programs.write(lifter, who, () -> progressions.saveAndFlush(progression)).isPresent();
    Optional<String> silent = programs.silent(lifter, progression);
    flash.addFlashAttribute("said", silent.map("Kept. "::concat).orElse(wrote ? "Written for the weeks to come. What you edit there is kept; Undo on the board takes it back."
        : "Kept. Nothing in the weeks to come had to change.") + beside(progression).map(" "::concat).orElse(""));
    return new ModelAndView("redirect:/lifters/" + id + "/progressions");
  }

  /** What else writes the same lift: meant by some, forgotten by others. */
  private Optional<String> beside(Progression one) {
    return progressions.findByLifterIdOrderById(one.lifterId()).stream()
        .filter(other -> other.id() != one.id() && other.lift().equals(one.lift()) && other.runsOn(clock.today()))
        .findFirst().map(other -> "Mind: " + other.method().title() + " writes the " + lifts.catalogue().ofKey(one.lift()).map(Lift::name)
            .orElse(one.lift()).toLowerCase(Locale.ROOT) + " too; end it if this was meant in its place.");
  }

  /** Where the lifter stands at the start, for methods that measure from there. */
  private void remember(Lifter lifter, Progression before, Method method, Map<String, String> settings) {
    LifterContext context = contexts.of(lifter, null);
    MaxNumbers numbers = context.numbers(context.lift(before.lift()));
    String startMax = before.isNew() ? null : before.settings().get(Progression.START_MAX);
    if (startMax != null) {
      settings.put(Progression.START_MAX, startMax);
    } else if (numbers.estimated() != null) {
      settings.put(Progression.START_MAX, numbers.estimated().amountIn(lifter.unit(), 1).toPlainString());
    }
    if (method == Method.PLUS_SETS && settings.getOrDefault("training", "").isEmpty() && numbers.training() != null) {
      settings.put("training", numbers.training().amountIn(lifter.unit(), 2).toPlainString());
    }
  }

  private static Set<DayOfWeek> chosen(@Nullable List<String> typed) {
    Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
    for (DayOfWeek day : DayOfWeek.values()) {
      if (typed != null && typed.contains(day.name())) {
        days.add(day);
      }
    }
    return days;
  }

  private static Optional<String> dayError(Lifter lifter, Set<DayOfWeek> days) {
    if (lifter.daysFree().isEmpty()) {
      return Optional.of("No day of the week is free for " + lifter.name()
          + ": tick the free days on the Lifter page first. What you typed here is kept.");
    }
    if (days.isEmpty()) {
      return Optional.of("Tick at least one day.");
    }
    String busy = days.stream().filter(day -> !lifter.daysFree().contains(day)).map(day -> day.getDisplayName(TextStyle.FULL,
        Locale.ENGLISH)).collect(Collectors.joining(" and "));
    return busy.isEmpty() ? Optional.empty() : Optional.of(busy + (busy.contains(" and ") ? " are" : " is") + " not free for "
        + lifter.name() + ": choose other days, or tick it on the Lifter page.");
  }

  /** Lets the methods write on to a week that is further ahead than they go by themselves. */
  @PostMapping("/lifters/{id}/progressions/on")
  String writeOn(@PathVariable long id, @RequestParam LocalDate of, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    boolean wrote = programs.write(lifter(id), of, who).isPresent();
    boolean tooFar = !of.isBefore(Programs.monday(clock.today()).plusWeeks(Programs.MOST_AHEAD));
    flash.addFlashAttribute("said", tooFar ? "That is further than methods write: half a year at most." : wrote ? "Written on to here. What methods with memory write so far ahead is a forecast."
        : "The methods have nothing to write here.");
    return "redirect:/lifters/" + id + "/week?of=" + Programs.monday(of);
  }

  /** Ends a method today, or lets it go on. */
  @PostMapping("/progressions/{id}/end")
  String end(@PathVariable long id, @RequestParam(defaultValue = "") String on, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Progression progression = progressions.findById(id).orElseThrow(NotFound::new);
    progression.end(on.isEmpty() ? clock.today() : null);
    programs.write(lifter(progression.lifterId()), who, () -> progressions.saveAndFlush(progression));
    flash.addFlashAttribute("said", on.isEmpty() ? "Ended: what it had written ahead is out, what you edited stays. Go on brings it back."
        + progression.method().rule().leaving(Math.max(0, ChronoUnit.WEEKS.between(progression.startsOn(), clock.today()))).map(" "::concat)
            .orElse("") : "It goes on.");
    return "redirect:/lifters/" + progression.lifterId() + "/progressions";
  }

  /** Makes a week easy, moves an easy week, or takes it out. */
  @PostMapping("/lifters/{id}/deloads")
  String deload(@PathVariable long id, @RequestParam LocalDate monday, @RequestParam(defaultValue = "HALF_LOAD") String kind,
      @RequestParam(required = false) @Nullable Integer move,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = lifter(id);
    LocalDate of = Programs.monday(monday);
    flash.addFlashAttribute("said", move == null ? easy.place(lifter, of, kind(kind), who) : easy.move(lifter, of, Integer.signum(move), who));
    return "redirect:/lifters/" + id + "/week?of=" + (move == null ? of : of.plusWeeks(Integer.signum(move)));
  }

  /** Sets after how many weeks an easy one comes. */
  @PostMapping("/lifters/{id}/deloads/rule")
  String rule(@PathVariable long id, @RequestParam(defaultValue = "") String every, @RequestParam(defaultValue = "HALF_LOAD") String kind,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = lifter(id);
    String typed = every.strip();
    if (!typed.isEmpty() && !typed.matches("[2-9]|1[0-6]")) {
      flash.addFlashAttribute("said", "Not set: the weeks between deloads must be from 2 to 16, or empty for none, but were '" + typed + "'.");
    } else {
      flash.addFlashAttribute("said", easy.rule(lifter, typed.isEmpty() ? null : Integer.valueOf(typed), kind(kind), who));
    }
    return "redirect:/lifters/" + id + "/progressions";
  }

  private static Deload kind(String name) {
    for (Deload kind : Deload.values()) {
      if (kind.name().equals(name)) {
        return kind;
      }
    }
    return Deload.HALF_LOAD;
  }

  @GetMapping("/methods")
  String methods(Model model) {
    model.addAttribute("methods", Method.values());
    return "program/methods";
  }

  @GetMapping("/methods/{key}")
  String method(@PathVariable String key, Model model) {
    Method method = Method.ofKey(key).orElseThrow(NotFound::new);
    model.addAttribute("method", method);
    model.addAttribute("guide", method.guide());
    model.addAttribute("parameters", method.rule().parameters());
    model.addAttribute("example", MethodExample.of(method, lifts.catalogue(), places));
    return "program/method";
  }

  private Lifter lifter(long id) {
    return lifters.findById(id).orElseThrow(NotFound::new);
  }

  private Progression own(Lifter lifter, long id) {
    return progressions.findById(id).filter(p -> p.lifterId() == lifter.id()).orElseThrow(NotFound::new);
  }
}
