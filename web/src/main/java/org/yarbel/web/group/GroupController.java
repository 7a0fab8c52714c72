package org.yarbel.web.group;

import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.grid.GridService;
import org.yarbel.web.journal.Undo;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.Weeks;
import org.yarbel.web.who.SignedIn;

/** Groups of lifters and the week board laid over one: a column a lifter, each with their own loads. */
@Controller
class GroupController {
  private static final Limit OFFERED = Limit.of(300);

  private final GroupBoards groups;
  private final GridService grids;
  private final LifterRepository lifters;
  private final Lifts lifts;
  private final Undo undo;
  private final ClubClock clock;

  GroupController(GroupBoards groups, GridService grids, LifterRepository lifters, Lifts lifts, Undo undo,
      ClubClock clock) {
    this.undo = undo;
    this.groups = groups;
    this.grids = grids;
    this.lifters = lifters;
    this.lifts = lifts;
    this.clock = clock;
  }

  /** A lifter to tick. */
  public record Box(long id, String name, boolean ticked) {}

  @GetMapping("/groups")
  String page(@RequestParam(required = false) @Nullable Long edit, Model model) {
    Set<Long> ticked = edit == null ? Set.of() : groups.lifters(edit).stream().map(Lifter::id).collect(Collectors.toSet());
    show(model, edit, edit == null ? "" : groups.group(edit).name(), ticked, null);
    return "group/all";
  }

  private void show(Model model, @Nullable Long edit, String name, Set<Long> ticked, @Nullable String error) {
    model.addAttribute("groups", groups.all());
    model.addAttribute("edit", edit);
    model.addAttribute("name", name);
    model.addAttribute("boxes", lifters.named("", OFFERED).stream().map(l -> new Box(l.id(), l.name(), ticked.contains(l.id()))).toList());
    model.addAttribute("error", error);
  }

  @PostMapping("/groups")
  String save(@RequestParam(required = false) @Nullable Long edit, @RequestParam(defaultValue = "") String name,
      @RequestParam(name = "member", required = false) @Nullable List<Long> member,
      Model model, RedirectAttributes flash, HttpServletResponse response) {
    Set<Long> ticked = member == null ? Set.of() : new HashSet<>(member);
    Optional<String> wrong = groups.save(edit, name, ticked);
    if (wrong.isPresent()) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      show(model, edit, name, ticked, wrong.get());
      return "group/all";
    }
    flash.addFlashAttribute("said", "Kept.");
    return "redirect:/groups";
  }

  @GetMapping("/groups/{id}/week")
  String week(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of, Model model) {
    show(model, id, Macrocycle.monday(of == null ? clock.today() : of), Map.of());
    return "group/page";
  }

  private void show(Model model, long id, LocalDate monday, Map<String, String> typed) {
    model.addAttribute("group", groups.group(id).name());
    model.addAttribute("groupId", id);
    model.addAttribute("grid", grids.group(groups.lifters(id), monday));
    model.addAttribute("of", monday.toString());
    model.addAttribute("week", Weeks.label(monday));
    model.addAttribute("before", monday.minusWeeks(1).toString());
    model.addAttribute("after", monday.plusWeeks(1).toString());
    model.addAttribute("kinds", SlotKind.values());
    model.addAttribute("lifts", lifts.offered());
    model.addAttribute("typed", typed);
    model.addAttribute("steps", undo.ofGroup(id));
  }

  /** Writes a line for everybody of the group, or changes one that stands the same for several. */
  @PostMapping("/groups/{id}/lines")
  String line(@PathVariable long id, @RequestParam Map<String, String> all, @RequestParam LocalDate of,
      @AuthenticationPrincipal SignedIn who, Model model,
      RedirectAttributes flash, HttpServletResponse response) {
    LocalDate monday = Macrocycle.monday(of);
    Optional<Lift> lift = lifts.catalogue().named(all.getOrDefault("lift", ""));
    String weekday = all.getOrDefault("weekday", "1");
    LocalDate day = monday.plusDays(weekday.matches("[1-7]") ? Integer.parseInt(weekday) - 1L : 0);
    try {
      String work = WorkLine.parse(all.getOrDefault("work", "")).line().toString();
      if (lift.isPresent()) {
        String was = all.getOrDefault("was", "");
        GroupBoards.GroupWritten written = was.isEmpty() ? groups.add(id, day, SlotKind.of(all.get("kind")).orElse(SlotKind.MAIN),
            lift.get(), work, who)
            : groups.change(id, day, lift.get().key(), was, work, lift.get(), who);
        flash.addFlashAttribute("said", written.sentence());
        return "redirect:/groups/" + id + "/week?of=" + monday;
      }
      model.addAttribute("wrong", lifts.catalogue().unknown(all.getOrDefault("lift", "")));
    } catch (NotationException wrong) {
      model.addAttribute("wrong", "'" + all.getOrDefault("work", "") + "': " + wrong.problems().get(0).message());
    }
    response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
    show(model, id, monday, all);
    return "group/page";
  }

  /** Takes back what was written last for the group, and before it, and so on. */
  @PostMapping("/groups/{id}/undo")
  String undo(@PathVariable long id, @RequestParam LocalDate of, @RequestParam(defaultValue = "1") int steps, RedirectAttributes flash) {
    flash.addFlashAttribute("said", undo.undoOfGroup(groups.group(id).id(), steps));
    return "redirect:/groups/" + id + "/week?of=" + Macrocycle.monday(of);
  }

  /** Does again what was taken back. */
  @PostMapping("/groups/{id}/redo")
  String redo(@PathVariable long id, @RequestParam LocalDate of, RedirectAttributes flash) {
    flash.addFlashAttribute("said", undo.redoOfGroup(groups.group(id).id()));
    return "redirect:/groups/" + id + "/week?of=" + Macrocycle.monday(of);
  }
}
