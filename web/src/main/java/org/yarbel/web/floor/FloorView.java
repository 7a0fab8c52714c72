package org.yarbel.web.floor;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.yarbel.web.session.SessionWord;
import org.yarbel.web.skyline.Sparkline;

/**
 * The start of the day.
 *
 * @param today who trains today, the first of them
 * @param others the first of everybody else that was looked for
 * @param left how many are not shown
 */
public record FloorView(String day, String find, List<TodayView> today, List<OtherView> others, int left, boolean anyLifter,
    boolean maxesAnew) {
  /** Words of a session that nobody on this side has read; {@code day} is when they were said. */
  public record NewWord(long sessionId, String who, String day, String start) {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
    private static final int LONGEST = 140;

    static NewWord of(SessionWord word, String who, ZoneId zone) {
      String text = word.words().replaceAll("\\s+", " ");
      return new NewWord(word.sessionId(), who, DAY.format(word.saidAt().atZone(zone)),
          text.length() > LONGEST ? text.substring(0, LONGEST) + "…" : text);
    }
  }

  /** A lifter who trains today. */
  public record TodayView(long lifterId, String name, String unit, long sessionId, List<WorkView> work, long logged, List<MainLift> lifts) {
    public String state() {
      return logged == 0 ? "not begun" : logged + (logged == 1 ? " set logged" : " sets logged");
    }
  }

  /** One line of a session, with its loads. */
  public record WorkView(String lift, String work, String loads, @Nullable String problem) {}

  /**
   * A main lift's tracked max over the last weeks.
   *
   * @param sd how far it may be off; empty where nothing is tracked
   */
  public record MainLift(String name, String estimate, String sd, Sparkline line) {}

  /** A lifter who does not train today. */
  public record OtherView(long lifterId, String name, String unit, String next, List<MainLift> lifts) {}
}
