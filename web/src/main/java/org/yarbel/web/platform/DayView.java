package org.yarbel.web.platform;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The table of a contest's day.
 *
 * @param lifts names, in their order
 * @param formula how points are counted
 * @param notes who entered what, the newest first
 * @param last the number of the newest entry, by which a page knows whether something is new
 */
public record DayView(long id, String name, String when, boolean mock, @Nullable String cap, List<String> lifts, String formula,
    List<ClassView> classes, List<NoteView> notes, List<String> cautions, int athletes, long last) {

  /** A class with who lifts in it, the leader first. */
  public record ClassView(String name, List<LineView> lines) {}

  /**
   * One athlete's line.
   *
   * @param lifts attempts by lift
   * @param entry the address where something is entered of them
   * @param platform the address of their own screen
   * @param place in the class; empty for none
   */
  public record LineView(String entry, String platform, String name, boolean ours, String body, List<List<AthleteView.Chip>> lifts,
      String sum, boolean whole, String possible, String points, String byPoints, String place, String state) {}

  /** One entry. */
  public record NoteView(long id, String words, String who, String when, boolean undone) {}

  /**
   * What is entered of one athlete.
   *
   * @param lift the key of the lift they are at
   * @param load that is handed in; empty for none
   * @param person the fields of who it is
   */
  public record EntryPanel(long athlete, String name, boolean ours, String lift, String liftName, int number, String load, String seen,
      boolean over, Map<String, String> person) {}
}
