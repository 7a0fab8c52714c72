package org.yarbel.web.platform;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
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
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.edge.Address;
import org.yarbel.web.who.SignedIn;

/** The summary of a contest's day, its file, the way into the log, and the link for spectators. */
@Controller
class SummaryController {
  private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);
  private static final String SAID = "said";

  private final SummaryPages pages;
  private final ContestDays days;
  private final IntoLog into;
  private final DaySettings settings;
  private final Address address;
  private final SecurityLog log;

  SummaryController(SummaryPages pages, ContestDays days, IntoLog into, DaySettings settings, Address address, SecurityLog log) {
    this.pages = pages;
    this.days = days;
    this.into = into;
    this.settings = settings;
    this.address = address;
    this.log = log;
  }

  /**
   * The page.
   *
   * @param ratings whether what a mock contest says of ratings is worked out where that takes all of a log
   */
  @GetMapping("/contests/{id}/summary")
  String page(@PathVariable long id, @RequestParam(defaultValue = "false") boolean ratings, Model model) {
    model.addAttribute("view", pages.view(id, ratings));
    return "platform/summary";
  }

  /** All athletes and attempts, or results, a line each. */
  @GetMapping("/contests/{id}/summary.csv")
  ResponseEntity<byte[]> file(@PathVariable long id, @AuthenticationPrincipal SignedIn who) {
    Day day = days.day(id);
    log.note(SecurityLog.Event.EXPORTED, who.clubId(), who.accountId(), "the table of contest " + id);
    HttpHeaders headers = new HttpHeaders();
    headers.setContentType(CSV);
    headers.setContentDisposition(ContentDisposition.attachment().filename("contest.csv").build());
    return new ResponseEntity<>(csv(day).getBytes(StandardCharsets.UTF_8), headers, HttpStatus.OK);
  }

  private static String csv(Day day) {
    StringWriter text = new StringWriter();
    try (CSVPrinter csv = new CSVPrinter(text, CSVFormat.RFC4180)) {
      List<String> heads = new ArrayList<>(List.of("name", "sex", "class", "body mass", "flight", "lot", "expected total"));
      heads.addAll(day.strongman() ? List.of("event", "result", "place", "points") : List.of("lift", "attempt", "load", "result", "whites",
          "reason", "looked"));
      csv.printRecord(heads);
      for (ContestAthlete athlete : day.athletes()) {
        for (List<String> line : day.strongman() ? results(day, athlete) : attempts(day, athlete)) {
          List<String> whole = new ArrayList<>(person(day, athlete));
          whole.addAll(line);
          csv.printRecord(whole.stream().map(SummaryController::plain).toList());
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return text.toString();
  }

  /** A cell that a spreadsheet would work out is text. */
  private static String plain(String cell) {
    return cell.isEmpty() || "=+-@\t\r".indexOf(cell.charAt(0)) < 0 ? cell : "'" + cell;
  }

  private static List<String> person(Day day, ContestAthlete athlete) {
    Sex sex = day.sex(athlete);
    String known = sex == Sex.MALE ? "m" : "f";
    Mass expected = athlete.said().expected();
    return List.of(day.name(athlete), sex == null ? "" : known, athlete.said().category(), DayPages.body(athlete), athlete.said().flight(),
        athlete.said().lot() == null ? "" : athlete.said().lot().toString(), expected == null ? "" : expected.number());
  }

  private static List<List<String>> attempts(Day day, ContestAthlete athlete) {
    List<List<String>> lines = new ArrayList<>();
    for (String lift : day.rules().platform().lifts()) {
      for (Attempt attempt : day.liftDay(athlete, lift).attempts()) {
        lines.add(attempt(day.lift(lift), attempt));
      }
    }
    return lines;
  }

  private static List<String> attempt(String lift, Attempt attempt) {
    List<String> line = new ArrayList<>(List.of(lift, Integer.toString(attempt.number()), attempt.load().number()));
    Verdict verdict = attempt.verdict();
    if (verdict == null) {
      line.addAll(List.of("handed in", "", "", ""));
      return line;
    }
    line.add(verdict.good() ? "good" : "no lift");
    line.add(Objects.toString(verdict.whites(), ""));
    line.add(verdict.reason() == null ? "" : verdict.reason().word());
    line.add(verdict.look() == null ? "" : verdict.look().word());
    return line;
  }

  private static List<List<String>> results(Day day, ContestAthlete athlete) {
    List<List<String>> lines = new ArrayList<>();
    day.results().getOrDefault(athlete.id(), Map.of()).forEach((event, result) -> {
      var placed = day.eventTable(athlete.said().category(), event).of(Day.key(athlete));
      lines.add(List.of(day.events().get(event - 1).name(), PlatformLog.words(result),
          placed.place() == 0 ? "" : Integer.toString(placed.place()), placed.points().toString()));
    });
    return lines;
  }

  @PostMapping("/contests/{id}/log/{athlete}")
  String write(@PathVariable long id, @PathVariable long athlete, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    flash.addFlashAttribute(SAID, into.write(id, athlete, who));
    return "redirect:/contests/" + id + "/summary";
  }

  @PostMapping("/contests/{id}/log/{athlete}/back")
  String takeBack(@PathVariable long id, @PathVariable long athlete, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    flash.addFlashAttribute(SAID, into.takeBack(id, athlete, who));
    return "redirect:/contests/" + id + "/summary";
  }

  @PostMapping("/contests/{id}/spectators")
  String open(@PathVariable long id, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    flash.addFlashAttribute("link", address.base() + "/c/" + settings.open(id, who));
    return "redirect:/contests/" + id + "/summary";
  }

  @PostMapping("/contests/{id}/spectators/close")
  String close(@PathVariable long id, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    settings.close(id, who);
    flash.addFlashAttribute(SAID, "The link is taken back: whoever has it sees nothing any more.");
    return "redirect:/contests/" + id + "/summary";
  }
}
