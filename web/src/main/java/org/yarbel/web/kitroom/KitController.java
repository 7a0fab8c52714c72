package org.yarbel.web.kitroom;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.dao.OptimisticLockingFailureException;
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
import org.yarbel.core.lift.Equipment;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.club.Places;
import org.yarbel.web.club.Undoing;
import org.yarbel.web.form.Typed;
import org.yarbel.web.who.SignedIn;

/** The Kit room. */
@Controller
class KitController {
  private final KitRoom room;
  private final Places places;
  private final Lifts lifts;

  KitController(KitRoom room, Places places, Lifts lifts) {
    this.room = room;
    this.places = places;
    this.lifts = lifts;
  }

  @GetMapping("/kit")
  String first() {
    return "redirect:/kit/" + room.place(null).id();
  }

  @GetMapping("/kit/{id}")
  String page(@PathVariable long id, Model model) {
    model.addAllAttributes(shown(KitView.of(room.place(id), places)));
    return "kitroom/page";
  }

  @PostMapping("/kit/{id}")
  ModelAndView write(@PathVariable long id, @RequestParam Map<String, String> fields,
      @RequestParam(defaultValue = "-1") int version, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    KitRoom.SavedKit saved;
    try {
      saved = room.write(id, version, fields, who);
    } catch (OptimisticLockingFailureException meanwhile) {
      saved = new KitRoom.SavedKit(new Typed(fields), id, 0, true);
    }
    if (saved.meanwhile() || !saved.typed().fine()) {
      ModelAndView again = new ModelAndView("kitroom/page", shown(KitView.of(room.place(id), places).typed(saved.typed())));
      again.setStatus(saved.meanwhile() ? HttpStatus.CONFLICT : HttpStatus.UNPROCESSABLE_CONTENT);
      if (saved.meanwhile()) {
        again.addObject("refused", true);
        again.addObject("said", "Not saved: somebody changed this kit meanwhile. What you typed is still here; save again to "
            + "replace theirs.");
      }
      return again;
    }
    flash.addFlashAttribute("said", "Saved. Sessions not issued yet show their new loads.");
    if (saved.changeId() != 0) {
      flash.addFlashAttribute("undo", Long.toString(saved.changeId()));
    }
    return new ModelAndView("redirect:/kit/" + id);
  }

  @PostMapping("/kit/{id}/undo/{change}")
  String undo(@PathVariable long id, @PathVariable long change, RedirectAttributes flash) {
    Undoing.UndoOutcome outcome = room.undo(id, change);
    flash.addFlashAttribute("said", outcome.sentence());
    flash.addFlashAttribute("refused", !outcome.done());
    return "redirect:/kit/" + id;
  }

  @PostMapping("/kit")
  ModelAndView add(@RequestParam Map<String, String> fields, RedirectAttributes flash) {
    KitRoom.SavedKit saved = room.add(fields);
    if (!saved.typed().fine()) {
      ModelAndView again = new ModelAndView("kitroom/page", shown(KitView.of(room.place(null), places)));
      again.addObject("newName", fields.getOrDefault("name", ""));
      again.addObject("newError", saved.typed().errors().get("name"));
      again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
      return again;
    }
    flash.addFlashAttribute("said", "The place is made. Write down what it owns.");
    return new ModelAndView("redirect:/kit/" + saved.placeId());
  }

  private Map<String, Object> shown(KitView view) {
    Map<String, Object> model = new HashMap<>();
    model.put("kit", view);
    model.put("places", places.all());
    model.put("kinds", List.of(Equipment.values()).stream().filter(Equipment::implement).toList());
    model.put("lifts", lifts.offered().stream().filter(lift -> lift.onBar()).toList());
    return model;
  }
}
