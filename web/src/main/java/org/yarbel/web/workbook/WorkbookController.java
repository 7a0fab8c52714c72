package org.yarbel.web.workbook;

import java.io.IOException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.ExtendedModelMap;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.LongPlans;
import org.yarbel.web.who.SignedIn;

/** The page of workbooks: out, a block or some weeks, and back in. */
@Controller
class WorkbookController {
  private static final MediaType XLSX = MediaType.parseMediaType("application/vnd.openxmlformats-officedocument.spreadsheetml.sheet");
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

  private final Workbooks workbooks;
  private final LongPlans plans;
  private final LifterRepository lifters;
  private final ClubClock clock;
  private final SecurityLog log;

  WorkbookController(Workbooks workbooks, LongPlans plans, LifterRepository lifters, ClubClock clock, SecurityLog log) {
    this.log = log;
    this.workbooks = workbooks;
    this.plans = plans;
    this.lifters = lifters;
    this.clock = clock;
  }

  /** Weeks that are offered. */
  record WorkbookOffer(String title, String from, int weeks) {}

  @GetMapping("/lifters/{id}/runway/workbook")
  String page(@PathVariable long id, Model model) {
    fill(lifter(id), model);
    return "workbook/page";
  }

  private void fill(Lifter lifter, Model model) {
    model.addAttribute("lifterId", lifter.id());
    model.addAttribute("lifter", lifter.name());
    List<WorkbookOffer> offers = new ArrayList<>();
    LocalDate monday = Macrocycle.monday(clock.today());
    plans.of(lifter.id()).ifPresent(kept -> kept.plan().placed().stream().filter(placed -> placed.end().isAfter(monday))
        .forEach(placed -> offers.add(new WorkbookOffer(
        placed.block().purpose().word() + ", " + Count.of(placed.block().weeks(), "week") + " from " + DAY.format(placed.monday()),
        placed.monday().toString(), placed.block().weeks()))));
    offers.add(new WorkbookOffer("four weeks from this one", monday.toString(), 4));
    model.addAttribute("offers", offers);
  }

  @GetMapping("/lifters/{id}/runway/workbook.xlsx")
  ResponseEntity<byte[]> file(@PathVariable long id, @RequestParam LocalDate from, @RequestParam(defaultValue = "4") int weeks,
      @AuthenticationPrincipal SignedIn who) {
    Lifter lifter = lifter(id);
    log.note(Event.EXPORTED, who.clubId(), who.accountId(), "a workbook of lifter " + id);
    LocalDate monday = Macrocycle.monday(from);
    byte[] file = workbooks.write(lifter, monday, Math.min(Math.max(weeks, 1), Workbooks.MOST_WEEKS));
    HttpHeaders headers = new HttpHeaders();
    headers.setContentType(XLSX);
    headers.setContentDisposition(ContentDisposition.attachment().filename(lifter.name().toLowerCase(Locale.ROOT)
        .replaceAll("[^a-z0-9]+", "-") + "-" + monday
        + ".xlsx").build());
    return new ResponseEntity<>(file, headers, HttpStatus.OK);
  }

  /** Takes a workbook back in. */
  @PostMapping("/lifters/{id}/runway/workbook")
  ModelAndView take(@PathVariable long id, @RequestParam(required = false) @Nullable MultipartFile file,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) throws IOException {
    Lifter lifter = lifter(id);
    if (file == null || file.isEmpty()) {
      return refused(lifter, List.of("Choose a workbook first."));
    }
    Workbooks.Taken taken = workbooks.take(lifter, file.getBytes(), who);
    if (!taken.problems().isEmpty()) {
      return refused(lifter, taken.problems());
    }
    flash.addFlashAttribute("said", switch (taken.edits().size()) {
      case 0 -> "Nothing was changed in it.";
      case 1 -> "One change was taken in.";
      default -> taken.edits().size() + " changes were taken in.";
    });
    flash.addFlashAttribute("edits", taken.edits());
    taken.change().ifPresent(change -> flash.addFlashAttribute("undo", change));
    return new ModelAndView("redirect:/lifters/" + id + "/runway/workbook");
  }

  private ModelAndView refused(Lifter lifter, List<String> problems) {
    ExtendedModelMap model = new ExtendedModelMap();
    fill(lifter, model);
    model.addAttribute("problems", problems);
    ModelAndView page = new ModelAndView("workbook/page", model);
    page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
    return page;
  }

  private Lifter lifter(long id) {
    return lifters.findById(id).orElseThrow(NotFound::new);
  }
}
