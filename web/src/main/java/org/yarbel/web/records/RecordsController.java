package org.yarbel.web.records;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.records.DayOrder;
import org.yarbel.core.records.Guess;
import org.yarbel.core.records.Meaning;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.job.Jobs;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Old records of a lifter: chosen, decided about, looked at, taken in, taken out. */
@Controller
class RecordsController {
  private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);
  private static final int MOST_PASTED = 200_000;
  private static final int MOST_NAME = 80;

  private final OldRecords records;
  private final LifterRepository lifters;
  private final Lifts lifts;
  private final Jobs jobs;
  private final ClubClock clock;

  RecordsController(OldRecords records, LifterRepository lifters, Lifts lifts, Jobs jobs, ClubClock clock) {
    this.records = records;
    this.lifters = lifters;
    this.lifts = lifts;
    this.jobs = jobs;
    this.clock = clock;
  }

  /** A table as the list shows it. */
  record TableView(long id, String name, String made, String what) {
    static TableView of(OldRecords.Records one, String made) {
      return new TableView(one.id(), one.name(), made, switch (one.state()) {
        case DRAFT -> Count.of(one.rows(), "row") + ", not decided yet";
        case RUNNING -> "is being taken in";
        case IN -> Count.of(one.taken(), "set") + " taken in, " + one.doubled() + " there already, " + Count.of(one.refused(), "row")
            + " refused";
        case UNDOING -> "is being taken out";
        case UNDONE -> "taken out again";
      });
    }
  }

  private Lifter lifter(long id) {
    return lifters.findById(id).orElseThrow(NotFound::new);
  }

  @GetMapping("/lifters/{id}/records")
  ModelAndView page(@PathVariable long id) {
    return listed(lifter(id), "", null);
  }

  private ModelAndView listed(Lifter lifter, String text, @Nullable String wrong) {
    ModelAndView page = new ModelAndView("records/page", new HashMap<>(Map.of("lifterId", lifter.id(), "lifter", lifter.name(), "text",
        text,
        "tables", records.of(lifter.id()).stream().map(one -> TableView.of(one, TIME.format(clock.local(one.made())))).toList())));
    page.addObject("wrong", wrong);
    if (wrong != null) {
      page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
    }
    return page;
  }

  /** Takes a file, or what was pasted, as it is. */
  @PostMapping("/records/files")
  ModelAndView choose(@RequestParam long lifter, @RequestParam(required = false) @Nullable MultipartFile file,
      @RequestParam(defaultValue = "") String text, @AuthenticationPrincipal SignedIn who) throws IOException {
    Lifter whose = lifter(lifter);
    if ((file == null || file.isEmpty()) && text.isBlank()) {
      return listed(whose, text, "Choose a file, or paste a table.");
    }
    if (text.length() > MOST_PASTED) {
      return listed(whose, "", "What was pasted has more than " + MOST_PASTED + " characters. Choose it as a file.");
    }
    Path here = Files.createTempFile("yarbel-records-", ".table");
    try {
      if (file == null || file.isEmpty()) {
        return new ModelAndView("redirect:/records/" + records.paste(lifter, text, whose.unit(), who));
      }
      file.transferTo(here);
      return new ModelAndView("redirect:/records/" + records.take(lifter, name(file.getOriginalFilename()), here, whose.unit(), who));
    } catch (NoTable wrong) {
      return listed(whose, text, wrong.sentence());
    } finally {
      Files.deleteIfExists(here);
    }
  }

  private static String name(@Nullable String told) {
    String name = told == null ? "" : told.replaceAll("^.*[/\\\\]", "").replaceAll("\\p{Cntrl}", "").strip();
    return name.isEmpty() ? "a file" : name.substring(0, Math.min(MOST_NAME, name.length()));
  }

  /** A column as it is decided about. */
  record ColumnView(int number, String head, Meaning meaning, String example) {}

  @GetMapping("/records/{id}")
  ModelAndView one(@PathVariable long id) {
    OldRecords.Records one = records.one(id);
    return one.state() == OldRecords.State.DRAFT ? decided(one, records.reading(id), Map.of()) : told(one);
  }

  private ModelAndView told(OldRecords.Records one) {
    ModelAndView page = new ModelAndView("records/told", new HashMap<>(Map.of("one", one, "lifter", lifter(one.lifter()).name(), "in",
        one.state() == OldRecords.State.IN, "running", one.state() == OldRecords.State.RUNNING || one.state() == OldRecords.State.UNDOING,
        "view", TableView.of(one, TIME.format(clock.local(one.made()))))));
    page.addObject("job", one.job() == null ? null : jobs.progress(one.job()));
    return page;
  }

  private ModelAndView decided(OldRecords.Records one, Reading reading, Map<String, String> errors) {
    OldRecords.Preview preview = records.preview(one.id(), reading);
    Map<String, Object> model = new HashMap<>();
    model.put("one", one);
    model.put("lifter", lifter(one.lifter()).name());
    model.put("reading", reading);
    model.put("columns", columns(one.id(), reading));
    model.put("meanings", Meaning.values());
    model.put("orders", DayOrder.values());
    model.put("preview", preview);
    model.put("lifts", lifts.offered());
    model.put("errors", errors);
    model.put("asksOrder", reading.unclear().contains(Guess.Question.DAY_ORDER));
    model.put("asksUnit", reading.unclear().contains(Guess.Question.UNIT));
    model.put("asksCommas", reading.unclear().contains(Guess.Question.COMMAS));
    model.put("ready", reading.unclear().isEmpty() && preview.named() && preview.sets() > 0);
    ModelAndView page = new ModelAndView("records/decide", model);
    if (!errors.isEmpty()) {
      page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
    }
    return page;
  }

  private List<ColumnView> columns(long id, Reading reading) {
    List<List<String>> sample = new ArrayList<>();
    records.rows(id, 1, 9, row -> sample.add(row.cells()));
    List<ColumnView> columns = new ArrayList<>();
    for (int i = 0; i < reading.heads().size(); i++) {
      int at = i;
      columns.add(new ColumnView(i, reading.heads().get(i), reading.layout().column(i), sample.stream().filter(row -> at < row.size()
          && !row.get(at).isBlank()).map(row -> row.get(at)).limit(3).reduce((a, b) -> a + ", " + b).orElse("empty")));
    }
    return columns;
  }

  /** Decides how they are read. */
  @PostMapping("/records/{id}")
  ModelAndView decide(@PathVariable long id, @RequestParam Map<String, String> typed) {
    OldRecords.Records one = records.one(id);
    if (one.state() != OldRecords.State.DRAFT) {
      return new ModelAndView("redirect:/records/" + id);
    }
    Map<String, String> errors = new LinkedHashMap<>();
    Reading reading = read(typed, records.reading(id), errors);
    if (!errors.isEmpty()) {
      return decided(one, reading, errors);
    }
    records.decide(id, reading);
    return new ModelAndView("redirect:/records/" + id + "#what-comes-in");
  }

  private Reading read(Map<String, String> typed, Reading before, Map<String, String> errors) {
    List<Meaning> columns = new ArrayList<>();
    Set<Meaning> taken = EnumSet.noneOf(Meaning.class);
    for (int i = 0; i < before.heads().size(); i++) {
      Meaning meaning = meaning(typed.getOrDefault("column." + i, before.layout().column(i).name()));
      if (meaning != Meaning.NOTHING && meaning != Meaning.OF_A_LIFT && !taken.add(meaning)) {
        errors.put("columns", "Two columns are the " + meaning.word() + ". Choose one.");
      }
      columns.add(meaning);
    }
    boolean wide = columns.contains(Meaning.OF_A_LIFT);
    if (!taken.contains(Meaning.DAY)) {
      errors.put("columns", "No column is the day.");
    } else if (!wide && (!taken.contains(Meaning.LIFT) || !taken.contains(Meaning.REPS) && !taken.contains(Meaning.WORK))) {
      errors.put("columns", "A lift and its reps are needed, or columns that are a lift each.");
    }
    Set<Guess.Question> unclear = EnumSet.noneOf(Guess.Question.class);
    unclear.addAll(before.unclear());
    DayOrder order = before.order();
    if (!typed.getOrDefault("order", "").isEmpty()) {
      order = Arrays.stream(DayOrder.values()).filter(one -> one.name().equals(typed.get("order"))).findFirst().orElseThrow(NotFound::new);
      unclear.remove(Guess.Question.DAY_ORDER);
    }
    MassUnit unit = before.unit();
    if (!typed.getOrDefault("unit", "").isEmpty()) {
      unit = Arrays.stream(MassUnit.values()).filter(one -> one.name().equals(typed.get("unit"))).findFirst().orElseThrow(NotFound::new);
      unclear.remove(Guess.Question.UNIT);
    }
    boolean commas = before.commas();
    if (!typed.getOrDefault("commas", "").isEmpty()) {
      commas = Boolean.parseBoolean(typed.get("commas"));
      unclear.remove(Guess.Question.COMMAS);
    }
    return new Reading(columns, before.heads(), order, commas, unit, unclear, before.lifts()).with(names(typed, errors));
  }

  private static Meaning meaning(String name) {
    return Arrays.stream(Meaning.values()).filter(one -> one.name().equals(name)).findFirst().orElseThrow(NotFound::new);
  }

  /** What lifts are called, by the fields {@code called.N} and {@code lift.N}. */
  private Map<String, String> names(Map<String, String> typed, Map<String, String> errors) {
    Map<String, String> names = new HashMap<>();
    typed.forEach((field, called) -> {
      if (field.startsWith("called.")) {
        String number = field.substring("called.".length());
        String lift = typed.getOrDefault("lift." + number, "").strip();
        String key = Reading.key(called);
        if (key.isEmpty() || key.length() > MOST_NAME || lift.isEmpty()) {
          return;
        }
        if (lift.equals(Reading.LEFT)) {
          names.put(key, Reading.LEFT);
        } else {
          lifts.catalogue().named(lift).or(() -> lifts.catalogue().ofKey(lift)).ifPresentOrElse(found -> names.put(key, found.key()),
              () -> errors.put("lift." + number, lifts.catalogue().unknown(lift)));
        }
      }
    });
    return names;
  }

  /** Begins to take them in. */
  @PostMapping("/records/{id}/take")
  ModelAndView take(@PathVariable long id, @AuthenticationPrincipal SignedIn who) {
    OldRecords.Records one = records.one(id);
    if (one.state() != OldRecords.State.DRAFT) {
      return new ModelAndView("redirect:/records/" + id);
    }
    Reading reading = records.reading(id);
    OldRecords.Preview preview = records.preview(id, reading);
    if (!reading.unclear().isEmpty() || !preview.named() || preview.sets() == 0) {
      return decided(one, reading, Map.of("take", "Not yet: answer what is asked above, and say which lift each name is."));
    }
    List<Jobs.Item> parts = TakeIn.parts(one);
    if (records.begin(id, parts.size(), who)) {
      records.job(id, jobs.start(TakeIn.KIND, "Old records of " + lifter(one.lifter()).name(), "", parts, who));
    }
    return new ModelAndView("redirect:/records/" + id);
  }

  @PostMapping("/records/{id}/undo")
  String undo(@PathVariable long id, @AuthenticationPrincipal SignedIn who) {
    OldRecords.Records one = records.one(id);
    if (records.beginUndo(id)) {
      records.job(id, jobs.start(TakeIn.TakeOut.KIND, "Old records of " + lifter(one.lifter()).name() + " are taken out", "",
          List.of(new Jobs.Item(Long.toString(id), one.name())), who));
    }
    return "redirect:/records/" + id;
  }

  /** After a failure of ours, or of the disk: nothing is in the log, and it is decided about once more. */
  @PostMapping("/records/{id}/again")
  String again(@PathVariable long id) {
    records.one(id);
    records.again(id);
    return "redirect:/records/" + id;
  }

  @PostMapping("/records/{id}/drop")
  String drop(@PathVariable long id, RedirectAttributes flash) {
    OldRecords.Records one = records.one(id);
    records.drop(id);
    flash.addFlashAttribute("said", "Dropped; nothing of it was in the log.");
    return "redirect:/lifters/" + one.lifter() + "/records";
  }

  /** The rows that could not be read, with the reason beside each, to be mended and chosen again. */
  @GetMapping("/records/{id}/refused.csv")
  void refused(@PathVariable long id, HttpServletResponse response) throws IOException {
    records.one(id);
    response.setContentType("text/csv;charset=UTF-8");
    response.setHeader(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"refused.csv\"");
    OutputStreamWriter text = new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8);
    CSVPrinter csv = new CSVPrinter(text, CSVFormat.RFC4180);
    List<String> heads = new ArrayList<>(List.of("Row", "Why"));
    heads.addAll(records.heads(id));
    csv.printRecord(heads.stream().map(RecordsController::safe).toList());
    records.faults(id, fault -> {
      List<String> cells = new ArrayList<>(List.of(Integer.toString(fault.row() + 1), fault.reason()));
      records.cells(fault.cells()).stream().map(RecordsController::safe).forEach(cells::add);
      try {
        csv.printRecord(cells);
      } catch (IOException gone) {
        throw new UncheckedIOException(gone);
      }
    });
    text.flush();
  }

  /** Nothing that a spreadsheet would run. */
  private static String safe(String cell) {
    return cell.matches("(?s)[=+\\-@\\t\\r].*") ? "'" + cell : cell;
  }
}
