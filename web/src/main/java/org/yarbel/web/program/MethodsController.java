package org.yarbel.web.program;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
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
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Occasions.Turn;
import org.yarbel.core.plan.progress.Settings;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.form.Typed;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** The page of a lifter's methods and what is done on it. */
@Controller
class MethodsController {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

  private final LifterMethods methods;
  private final Lifts lifts;
  private final ClubClock clock;

  MethodsController(LifterMethods methods, Lifts lifts, ClubClock clock) {
    this.methods = methods;
    this.lifts = lifts;
    this.clock = clock;
  }

  /** One method at work. */
  public record AtWork(long id, String lift, String method, String key, String days, String since, @Nullable String until, String set,
      boolean memory, boolean ofPlan, boolean ended) {}

  @GetMapping("/lifters/{id}/progressions")
  String page(@PathVariable long id, @RequestParam(defaultValue = "") String lift, @RequestParam(defaultValue = "") String method,
      @RequestParam(required = false) @Nullable Long edit, Model model) {
    Lifter lifter = methods.lifter(id);
    MethodForm form = null;
    if (edit != null) {
      form = MethodForm.of(methods.own(lifter, edit), lifter, lifts.catalogue());
    } else if (!method.isEmpty()) {
      Method chosen = Method.ofKey(method).orElseThrow(NotFound::new);
      Optional<Lift> named = lifts.catalogue().named(lift);
      form = named.map(one -> MethodForm.empty(one, chosen, lifter, Macrocycle.monday(clock.today()))).orElse(null);
      if (named.isEmpty()) {
        model.addAttribute("liftError", lifts.catalogue().unknown(lift));
      }
    }
    fill(model, lifter, form);
    model.addAttribute("typedLift", lift);
    model.addAttribute("typedMethod", method);
    return "program/page";
  }

  private void fill(Model model, Lifter lifter, @Nullable MethodForm form) {
    LifterContext context = methods.context(lifter);
    model.addAttribute("lifterId", lifter.id());
    model.addAttribute("lifter", lifter.name());
    model.addAttribute("rows", methods.of(lifter).stream().map(one -> atWork(one, context)).toList());
    model.addAttribute("methods", Method.values());
    model.addAttribute("lifts", lifts.offered());
    model.addAttribute("turns", Arrays.stream(Turn.values()).map(turn -> Map.entry(turn.name(), Progression.words(turn))).toList());
    model.addAttribute("form", form);
    model.addAttribute("example", form == null ? null : form.example(context));
    model.addAttribute("kinds", Deload.values());
    model.addAttribute("every", lifter.deloadEvery());
    model.addAttribute("kind", lifter.deloadKind());
    Level level = context.known().values().stream().map(LifterContext.Known::level).filter(Objects::nonNull)
        .max(Comparator.naturalOrder()).orElse(null);
    Deload.Interval interval = Deload.Interval.of(level, lifter.strained());
    model.addAttribute("interval", interval.least() + "–" + interval.most());
    model.addAttribute("noDays", lifter.daysFree().isEmpty());
  }

  private AtWork atWork(Progression one, LifterContext context) {
    Method method = one.method();
    Map<String, String> usual = Settings.defaults(method).texts();
    String set = method.rule().parameters().stream()
        .filter(parameter -> !one.settings().getOrDefault(parameter.key(), parameter.fallback()).equals(usual.get(parameter.key())))
        .map(parameter -> parameter.words() + " " + one.settings().get(parameter.key())).collect(Collectors.joining("; "));
    String days = one.days().stream().map(day -> day.getDisplayName(TextStyle.SHORT, Locale.ENGLISH)).collect(Collectors.joining(" "));
    String turn = one.turn() == Turn.EVERY ? "" : ", " + Progression.words(one.turn());
    return new AtWork(one.id(), context.lift(one.lift()).name(), method.title(), method.key(), days + turn, DAY.format(one.startsOn()),
        one.endsOn() == null ? null : DAY.format(one.endsOn()), set, method.rule().memory(), one.blockNo() != null,
        !one.runsOn(clock.today()));
  }

  @PostMapping("/lifters/{id}/progressions")
  ModelAndView save(@PathVariable long id, @RequestParam Map<String, String> all,
      @RequestParam(name = "days", defaultValue = "") List<String> days, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = methods.lifter(id);
    Method method = Method.ofKey(all.getOrDefault("method", "")).orElseThrow(NotFound::new);
    MethodTyped typed = new MethodTyped(method, new Typed(all), days, lifts.catalogue(), clock.today()).on(lifter);
    if (!typed.fine()) {
      ExtendedModelMap model = new ExtendedModelMap();
      fill(model, lifter, MethodForm.of(typed, lifter));
      return new ModelAndView("program/page", model, HttpStatus.UNPROCESSABLE_CONTENT);
    }
    flash.addFlashAttribute("said", said(methods.keep(lifter, typed, who), typed.lift()));
    return new ModelAndView(back(id));
  }

  private static String said(LifterMethods.KeptMethod kept, Lift lift) {
    String mind = kept.beside() == null ? "" : " Mind: " + kept.beside().title() + " writes the " + lift.name().toLowerCase(Locale.ROOT)
        + " too; end it if this was meant in its place.";
    if (kept.silent() != null) {
      return "Kept. " + kept.silent() + mind;
    }
    return (kept.wrote() ? "Written for the weeks to come. What you edit there is kept; Undo on the board takes it back."
        : "Kept. Nothing in the weeks to come had to change.") + mind;
  }

  /** Lets the methods write on to a week that is further ahead than they go by themselves. */
  @PostMapping("/lifters/{id}/progressions/on")
  String writeOn(@PathVariable long id, @RequestParam LocalDate of, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    flash.addFlashAttribute("said", switch (methods.writeOn(methods.lifter(id), of, who)) {
      case TOO_FAR -> "That is further than methods write: half a year at most.";
      case WRITTEN -> "Written on to here. What methods with memory write so far ahead is a forecast.";
      case NOTHING -> "The methods have nothing to write here.";
    });
    return board(id, Macrocycle.monday(of));
  }

  /** Ends a method today, or lets it go on. */
  @PostMapping("/progressions/{id}/end")
  String end(@PathVariable long id, @RequestParam(defaultValue = "") String on, @AuthenticationPrincipal SignedIn who,
      RedirectAttributes flash) {
    if (!on.isEmpty()) {
      flash.addFlashAttribute("said", "It goes on.");
      return back(methods.goOn(id, who).lifterId());
    }
    LifterMethods.Ended ended = methods.end(id, who);
    flash.addFlashAttribute("said", "Ended: what it had written ahead is out, what you edited stays. Go on brings it back."
        + ended.leaving().map(" "::concat).orElse(""));
    return back(ended.lifterId());
  }

  static String board(long id, LocalDate monday) {
    return "redirect:/lifters/" + id + "/week?of=" + monday;
  }

  static String back(long id) {
    return "redirect:/lifters/" + id + "/progressions";
  }
}
