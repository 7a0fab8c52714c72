package org.yarbel.web.library;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.data.domain.Limit;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.edit.Batches;
import org.yarbel.web.group.GroupBoards;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** The library's page: keep, use, export, import. */
@Controller
class LibraryController {
  private static final Limit OFFERED = Limit.of(300);

  private final Library library;
  private final TemplateFormat format;
  private final LifterRepository lifters;
  private final GroupBoards groups;
  private final Lifts lifts;
  private final ClubClock clock;
  private final SecurityLog log;

  LibraryController(Library library, TemplateFormat format, LifterRepository lifters, GroupBoards groups, Lifts lifts, ClubClock clock,
      SecurityLog log) {
    this.log = log;
    this.library = library;
    this.format = format;
    this.lifters = lifters;
    this.groups = groups;
    this.lifts = lifts;
    this.clock = clock;
  }

  /** A lift of a template that the club lacks. */
  public record Unknown(String key, String name, String typed, @Nullable String error) {}

  /** Somebody a template can be used for. */
  public record For(String value, String name, boolean chosen) {}

  @GetMapping("/library")
  String page(@RequestParam(required = false) @Nullable Long lifter, @RequestParam(required = false) @Nullable Long group,
      @RequestParam(required = false) @Nullable LocalDate of, Model model) {
    String ofGroup = group != null ? "group-" + group : "";
    show(model, lifter != null ? "lifter-" + lifter : ofGroup, of == null ? clock.today() : of);
    return "library/page";
  }

  private void show(Model model, String chosen, LocalDate of) {
    List<Library.TemplateRow> all = library.all();
    List<For> who = new ArrayList<>();
    groups.all().forEach(g -> who.add(new For("group-" + g.id(), g.name() + " (group)", chosen.equals("group-" + g.id()))));
    lifters.named("", OFFERED).forEach(l -> who.add(new For("lifter-" + l.id(), l.name(), chosen.equals("lifter-" + l.id()))));
    model.addAttribute("rows", all.stream().filter(row -> !row.gone()).toList());
    model.addAttribute("gone", all.stream().filter(Library.TemplateRow::gone).toList());
    model.addAttribute("who", who);
    model.addAttribute("of", of.toString());
    model.addAttribute("chosen", chosen);
    model.addAttribute("lifts", lifts.offered());
    model.asMap().putIfAbsent("text", "");
    model.asMap().putIfAbsent("problems", List.of());
    model.asMap().putIfAbsent("unknown", List.of());
  }

  /** Keeps one day from the board. */
  @PostMapping("/lifters/{id}/days/{day}/keep")
  String keepDay(@PathVariable long id, @PathVariable LocalDate day, RedirectAttributes flash) {
    Lifter lifter = lifter(id);
    String name = lifter.name().split(" ")[0] + ", " + day.getDayOfWeek().getDisplayName(TextStyle.FULL,
        Locale.ENGLISH) + " " + day;
    flash.addFlashAttribute("said", library.keep(lifter, day, 1, Template.Scope.SESSION, name).orElse("Kept as '" + name + "'."));
    return "redirect:/library?lifter=" + id + "&of=" + day;
  }

  /** Keeps weeks of a lifter. */
  @PostMapping("/library/keep")
  String keep(@RequestParam String from, @RequestParam LocalDate of, @RequestParam(defaultValue = "") String weeks,
      @RequestParam(defaultValue = "") String name, RedirectAttributes flash) {
    Optional<Lifter> lifter = one(from);
    int count = weeks.matches("\\d{1,2}") ? Integer.parseInt(weeks) : 0;
    LocalDate monday = Macrocycle.monday(of);
    if (lifter.isEmpty()) {
      flash.addFlashAttribute("said", "Not kept: Choose one lifter, not a group, whose weeks are kept.");
    } else if (count < 1 || count > Library.MOST_WEEKS) {
      flash.addFlashAttribute("said", "Not kept: The weeks must be from 1 to " + Library.MOST_WEEKS + " but were '" + weeks + "'.");
    } else {
      flash.addFlashAttribute("said", library.keepWeeks(lifter.get(), monday, count, name).map(why -> "Not kept: " + why)
          .orElse("Kept as '" + name.strip() + "'."));
    }
    flash.addFlashAttribute("name", name);
    return "redirect:/library?of=" + of + (lifter.isPresent() ? "&lifter=" + lifter.get().id() : "");
  }

  /** Writes a template into the days of a lifter or a group. */
  @PostMapping("/library/{id}/use")
  String use(@PathVariable long id, @RequestParam(name = "for", defaultValue = "") String whom, @RequestParam LocalDate of,
      @RequestParam(defaultValue = "") String replace,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Template template = library.template(id);
    List<Lifter> all = one(whom).map(List::of).orElseGet(() -> whom.matches("group-\\d{1,18}")
        ? groups.lifters(Long.parseLong(whom.substring(6))) : List.of());
    if (all.isEmpty()) {
      flash.addFlashAttribute("said", "Nothing written: choose a lifter or a group first.");
      return "redirect:/library?of=" + of;
    }
    int lines = 0;
    List<Long> changes = new ArrayList<>();
    for (Lifter lifter : all) {
      Batches.BatchWritten written = library.use(template, lifter, of, !replace.isEmpty(), who);
      lines += written.lines();
      written.change().ifPresent(changes::add);
    }
    flash.addFlashAttribute("said", Count.of(lines, "line") + " written" + (all.size() > 1 ? " for " + all.size() + " lifters"
        : "") + " from '"
        + template.name() + "'. Undo takes them out.");
    flash.addFlashAttribute("changes", changes);
    return all.size() == 1 ? "redirect:/lifters/" + all.get(0).id() + "/week?of=" + of : "redirect:/groups/" + whom.substring(6)
        + "/week?of=" + of;
  }

  @PostMapping("/library/{id}/take")
  String take(@PathVariable long id, @RequestParam boolean out, RedirectAttributes flash) {
    library.take(id, out);
    flash.addFlashAttribute("said", out ? "Taken out. It can be brought back below." : "It is back.");
    return "redirect:/library";
  }

  /** A template as a file in the published format. */
  @GetMapping("/library/{id}/export")
  ResponseEntity<String> export(@PathVariable long id, @AuthenticationPrincipal SignedIn who) {
    Template template = library.template(id);
    log.note(Event.EXPORTED, who.clubId(), who.accountId(), "a template");
    String file = template.name().replaceAll("[^A-Za-z0-9]+", "-").replaceAll("^-|-$", "").toLowerCase(Locale.ROOT) + ".json";
    return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON)
        .header(HttpHeaders.CONTENT_DISPOSITION, ContentDisposition.attachment().filename(file).build().toString())
        .body(template.document());
  }

  /** The format, for whoever makes such files. */
  @GetMapping("/library/schema")
  ResponseEntity<Resource> schema() {
    return ResponseEntity.ok().contentType(new MediaType("application", "schema+json"))
        .body(new ClassPathResource("formats/template.schema.json"));
  }

  /** Takes a template from a file or its text; lifts the club lacks are mapped once. */
  @PostMapping("/library/import")
  String take(@RequestParam(required = false) @Nullable MultipartFile file, @RequestParam(defaultValue = "") String text,
      @RequestParam(defaultValue = "") String name,
      @RequestParam Map<String, String> all, Model model, RedirectAttributes flash, HttpServletResponse response) throws IOException {
    String content = file != null && !file.isEmpty() ? new String(file.getBytes(), StandardCharsets.UTF_8) : text;
    TemplateFormat.TemplateRead read = format.read(content);
    List<String> problems = new ArrayList<>(read.problems());
    List<Unknown> unknown = new ArrayList<>();
    TemplateDocument document = read.document();
    if (document != null) {
      Map<String, Lift> mapped = new HashMap<>();
      for (String key : library.unknown(document)) {
        String typed = all.getOrDefault("map." + key, "");
        Optional<Lift> lift = lifts.catalogue().named(typed);
        lift.ifPresent(found -> mapped.put(key, found));
        if (lift.isEmpty()) {
          unknown.add(new Unknown(key, document.called(key), typed, typed.isEmpty() ? null : lifts.catalogue().unknown(typed)));
        }
      }
      if (unknown.isEmpty()) {
        TemplateDocument ready = library.mapped(document, mapped);
        Optional<String> wrong = library.store(name.isBlank() ? ready : ready.named(name.strip()));
        if (wrong.isEmpty()) {
          flash.addFlashAttribute("said", "Taken in: '" + (name.isBlank() ? ready.name() : name.strip()) + "'.");
          return "redirect:/library";
        }
        problems.add(wrong.get());
      }
    }
    response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
    model.addAttribute("text", content);
    model.addAttribute("importName", name);
    model.addAttribute("problems", problems);
    model.addAttribute("unknown", unknown);
    show(model, "", clock.today());
    return "library/page";
  }

  private Optional<Lifter> one(String whom) {
    return whom.matches("lifter-\\d{1,18}") ? Optional.of(lifter(Long.parseLong(whom.substring(7)))) : Optional.empty();
  }

  private Lifter lifter(long id) {
    return lifters.findById(id).orElseThrow(NotFound::new);
  }
}
