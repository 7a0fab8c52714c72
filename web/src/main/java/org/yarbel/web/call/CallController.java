package org.yarbel.web.call;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.call.CallRule;
import org.yarbel.core.call.CallRules;
import org.yarbel.core.mass.Count;
import org.yarbel.web.edge.Back;
import org.yarbel.web.edit.PlanReader;
import org.yarbel.web.group.GroupMembers;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** The calls of the club, and what a coach decides of each. */
@Controller
class CallController {
  /** An id with the version that was on the screen. */
  private static final String OF_A_VERSION = "\\d{1,18}-\\d{1,6}";
  private static final int MOST_REASON = 300;
  private static final int MOST_WORD = 300;
  private static final int MOST_LINE = 500;
  private static final int MOST_TOGETHER = 100;
  private static final int MOST_ON_PAGE = 400;

  private final CallBook book;
  private final CallPages pages;
  private final Preview preview;
  private final GroupMembers groups;
  private final PlanReader plans;

  CallController(CallBook book, CallPages pages, Preview preview, GroupMembers groups, PlanReader plans) {
    this.book = book;
    this.pages = pages;
    this.preview = preview;
    this.groups = groups;
    this.plans = plans;
  }

  /** A rule to filter by. */
  record RuleChoice(String key, String title) {
    static RuleChoice of(CallRule rule) {
      return new RuleChoice(rule.key(), rule.title());
    }
  }

  @GetMapping("/calls")
  String page(@RequestParam(defaultValue = "") String rule, @RequestParam(defaultValue = "0") long group,
      @RequestParam(defaultValue = "false") boolean safe, @RequestParam(defaultValue = "0") int page, Model model) {
    CallPages.Filter filter = new CallPages.Filter(CallRules.ofKey(rule).map(CallRule::key).orElse(""), safe);
    List<Long> members = group == 0 ? List.of() : groups.of(group);
    CallPages.Page open = pages.open(group == 0, members.isEmpty() ? List.of(0L) : members, filter, page);
    List<CallView> calls = open.calls();
    model.addAttribute("calls", calls);
    model.addAttribute("open", open);
    model.addAttribute("together", calls.stream().filter(call -> call.safe() && call.sure() == 3).toList());
    model.addAttribute("rules", CallRules.all().stream().map(RuleChoice::of).toList());
    model.addAttribute("groups", groups.all());
    model.addAttribute("filter", filter);
    model.addAttribute("group", group);
    return "call/page";
  }

  @PostMapping("/calls/{id}/take")
  ModelAndView take(@PathVariable long id, @RequestParam Map<String, String> typed, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx,
      HttpServletResponse response, RedirectAttributes flash) {
    CallBook.Choice choice = choice(typed);
    try {
      return answer(id, book.take(id, choice, who), choice, htmx, response, flash, typed);
    } catch (Taking.Stale stale) {
      book.lookAt(pages.view(id).lifterId());
      return answer(id, new CallBook.Outcome.Anew(null, stale.sentence() + " The calls were drawn up anew."), choice, htmx, response,
          flash, typed);
    }
  }

  private static CallBook.Choice choice(Map<String, String> typed) {
    Map<Integer, String> lines = new HashMap<>();
    int proposal = number(typed.getOrDefault("proposal", "0"));
    String prefix = "line" + proposal + ".";
    typed.forEach((field, text) -> {
      if (field.startsWith(prefix) && !text.equals(typed.get("was" + field.substring("line".length())))) {
        lines.put(number(field.substring(prefix.length())), text.substring(0, Math.min(MOST_LINE, text.length())));
      }
    });
    return new CallBook.Choice(number(typed.getOrDefault("version", "-1")), proposal, lines,
        cut(typed.getOrDefault("word", ""), MOST_WORD));
  }

  private static int number(String text) {
    try {
      return text.length() > 6 ? -1 : Integer.parseInt(text);
    } catch (NumberFormatException wrong) {
      throw new NotFound();
    }
  }

  private static String cut(String text, int most) {
    String bare = text.strip();
    return bare.substring(0, Math.min(most, bare.length()));
  }

  @PostMapping("/calls/{id}/refuse")
  ModelAndView refuse(@PathVariable long id, @RequestParam Map<String, String> typed, @AuthenticationPrincipal SignedIn who,
      HtmxRequest htmx,
      HttpServletResponse response, RedirectAttributes flash) {
    String reason = cut(typed.getOrDefault("reason", ""), MOST_REASON);
    if (reason.isEmpty()) {
      CallView view = pages.view(id).saying("Say why in a few words: the reason stays on record.");
      return shown(view, HttpStatus.UNPROCESSABLE_CONTENT, htmx, response, flash, typed);
    }
    return answer(id, book.refuse(id, reason, who), CallBook.Choice.first(0), htmx, response, flash, typed);
  }

  @PostMapping("/calls/{id}/lie")
  ModelAndView lie(@PathVariable long id, @RequestParam Map<String, String> typed, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx,
      HttpServletResponse response, RedirectAttributes flash) {
    return answer(id, book.lie(id, who), CallBook.Choice.first(0), htmx, response, flash, typed);
  }

  @PostMapping("/calls/{id}/undo")
  ModelAndView undo(@PathVariable long id, @RequestParam Map<String, String> typed, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx,
      HttpServletResponse response, RedirectAttributes flash) {
    return answer(id, book.undo(id, who), CallBook.Choice.first(0), htmx, response, flash, typed);
  }

  private ModelAndView answer(long id, CallBook.Outcome outcome, CallBook.Choice choice, HtmxRequest htmx, HttpServletResponse response,
      RedirectAttributes flash, Map<String, String> typed) {
    if (outcome instanceof CallBook.Outcome.Wrong wrong) {
      String first = wrong.errors().values().iterator().next();
      return shown(pages.view(wrong.call()).choosing(choice.proposal()).saying(first), HttpStatus.UNPROCESSABLE_CONTENT, htmx, response,
          flash,
          typed);
    }
    if (outcome instanceof CallBook.Outcome.Done done) {
      ModelAndView answer = shown(pages.view(done.call()).saying(done.said()), HttpStatus.OK, htmx, response, flash, typed);
      if (htmx.isHtmxRequest()) {
        // what stands beside it on the screen came out otherwise, too: its loads, or that it waits at all
        response.addHeader("HX-Trigger", "yarbel:decided");
        Set<String> there = new HashSet<>(List.of(typed.getOrDefault("on", "").split(" ", MOST_ON_PAGE)));
        answer.addObject("beside", done.beside().stream().filter(row -> there.contains(Long.toString(row.id()))).map(pages::view).toList());
      }
      return answer;
    }
    if (outcome instanceof CallBook.Outcome.Already already) {
      CallView view = pages.view(id);
      return shown(view.saying("Decided already: " + view.state() + (view.decided().isEmpty() ? "" : " (" + view.decided() + ")") + "."),
          HttpStatus.CONFLICT, htmx, response, flash, typed);
    }
    CallBook.Outcome.Anew anew = (CallBook.Outcome.Anew) outcome;
    return shown(pages.view(id).saying(anew.why()), HttpStatus.CONFLICT, htmx, response, flash, typed);
  }

  private static ModelAndView shown(CallView view, HttpStatus status, HtmxRequest htmx, HttpServletResponse response,
      RedirectAttributes flash,
      Map<String, String> typed) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    if (htmx.isHtmxRequest()) {
      ModelAndView answer = new ModelAndView("call/one :: one", Map.of("call", view, "typed", typed, "wrong", status.isError()));
      answer.setStatus(status);
      return answer;
    }
    flash.addFlashAttribute("said", view.said());
    return new ModelAndView("redirect:" + Back.to(typed.getOrDefault("back", "/calls")));
  }

  /** Takes the safe ones of high confidence that were on the screen, each by itself: what fails stays open. */
  @PostMapping("/calls/together")
  String together(@RequestParam(name = "call", defaultValue = "") List<String> chosen, @RequestParam(defaultValue = "/calls") String back,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    int taken = 0;
    List<String> left = new ArrayList<>();
    for (String one : chosen.stream().limit(MOST_TOGETHER).toList()) {
      if (!one.matches(OF_A_VERSION)) {
        throw new NotFound();
      }
      String[] parts = one.split("-");
      long id = Long.parseLong(parts[0]);
      CallView view = pages.view(id);
      if (view.safe() && view.sure() == 3 && done(id, Integer.parseInt(parts[1]), who)) {
        taken++;
      } else {
        left.add(view.lifter());
      }
    }
    flash.addFlashAttribute("said", Count.of(taken, "call") + " taken." + (left.isEmpty() ? ""
        : " Left open, for something stood otherwise: "
        + String.join(", ", left) + "."));
    return "redirect:" + Back.to(back);
  }

  private boolean done(long id, int version, SignedIn who) {
    try {
      return book.take(id, CallBook.Choice.first(version), who) instanceof CallBook.Outcome.Done;
    } catch (Taking.Stale stale) {
      return false;
    }
  }

  /** What a line comes to while a coach types it otherwise. */
  @GetMapping("/calls/{id}/line")
  String line(@PathVariable long id, @RequestParam int proposal, @RequestParam int number, @RequestParam Map<String, String> typed,
      Model model) {
    String text = typed.getOrDefault("line" + proposal + "." + number, "");
    model.addAttribute("line", pages.typed(id, proposal, number, text.substring(0, Math.min(MOST_LINE, text.length()))));
    return "call/comes :: typed";
  }

  /** What a proposal would make of the weeks, and what the checks would then say: worked out through the same doors and taken back. */
  @GetMapping("/calls/{id}/preview")
  String preview(@PathVariable long id, @RequestParam(defaultValue = "0") int proposal, @AuthenticationPrincipal SignedIn who,
      Model model) {
    model.addAttribute("preview", preview.of(id, proposal, who));
    return "call/preview :: preview";
  }

  /** Draws up the calls of a lifter at once. */
  @PostMapping("/lifters/{id}/calls")
  String anew(@PathVariable long id, @RequestParam(defaultValue = "/calls") String back) {
    book.lookAt(plans.lifter(id).id());
    return "redirect:" + Back.to(back);
  }
}
