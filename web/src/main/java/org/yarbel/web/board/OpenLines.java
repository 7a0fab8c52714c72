package org.yarbel.web.board;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestParam;

/** Which lines of the board stand open: what is said beside a line comes only when it is opened, and stays when it is drawn anew. */
@ControllerAdvice(assignableTypes = {BoardController.class, WeekController.class, BatchController.class, MendController.class,
    ArrangeController.class})
class OpenLines {
  private static final int MOST = 40;
  private static final String IDS = "\\d{1,18}(,\\d{1,18}){0," + (MOST - 1) + "}";

  /** The day that a line is added to without a script; null for none. */
  @ModelAttribute("adding")
  @Nullable LocalDate adding(@RequestParam(required = false) @Nullable LocalDate add) {
    return add;
  }

  /** The ids of the lines, with commas between; anything else opens none. */
  @ModelAttribute("opened")
  Set<Long> opened(@RequestParam(defaultValue = "") String open) {
    return open.matches(IDS) ? Arrays.stream(open.split(",")).map(Long::valueOf).collect(Collectors.toSet()) : Set.of();
  }
}
