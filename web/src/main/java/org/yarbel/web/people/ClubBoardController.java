package org.yarbel.web.people;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.who.SignedIn;

/** What lifters of the club let each other see: names, and tested maxes of those who show them. Whoever has not said so is not here. */
@Controller
class ClubBoardController {
  private static final int MOST = 300;

  private final JdbcClient jdbc;

  ClubBoardController(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Somebody who shows their name; the maxes are empty where they do not show them. */
  record Shown(String name, String squat, String bench, String deadlift) {}

  private record Row(String name, String unit, boolean results, @Nullable Long squat, @Nullable Long bench, @Nullable Long deadlift) {
    Shown shown() {
      return new Shown(name, max(squat), max(bench), max(deadlift));
    }

    private String max(@Nullable Long nanograms) {
      if (!results || nanograms == null) {
        return "";
      }
      BigDecimal amount = Mass.ofNanograms(nanograms, MassUnit.valueOf(unit)).amountIn(MassUnit.valueOf(unit), 1).stripTrailingZeros();
      return amount.toPlainString() + " " + MassUnit.valueOf(unit).symbol();
    }
  }

  @GetMapping("/club")
  String page(@AuthenticationPrincipal SignedIn who, Model model) {
    List<Shown> shown = jdbc.sql("select l.name, l.unit, l.shows_results as results, max(n.tested_ng) filter (where n.lift = 'squat') as "
        + "squat, max(n.tested_ng) filter (where n.lift = 'bench') as bench, max(n.tested_ng) filter (where n.lift = 'deadlift') as "
            + "deadlift "
        + "from lifter l left join lift_numbers n on n.club_id = l.club_id and n.lifter_id = l.id where l.club_id = :club and l.shows_name "
        + "group by l.id, l.name, l.unit, l.shows_results order by l.name, l.id limit " + MOST).param("club", who.clubId())
        .query(Row.class).list().stream().map(Row::shown).toList();
    model.addAttribute("shown", shown);
    model.addAttribute("lifter", who.lifterId());
    return "people/board";
  }
}
