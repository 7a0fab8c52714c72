package org.yarbel.web.platform;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The screen of who runs the results of a strongman contest.
 *
 * @param event the number of the one that is entered, from 1
 * @param table how a class stands over all events
 */
public record EventsView(long id, String name, String when, List<EventTab> events, int event, @Nullable String kind,
    List<String> categories,
    String category, List<EntryRow> entries, List<StrongmanView.StandingRow> table, List<DayView.NoteView> notes,
    int athletes, List<String> cautions) {

  /** An event to choose. */
  public record EventTab(int number, String name, String work, boolean here, int done) {}

  /**
   * One athlete's result of the event.
   *
   * @param mine whether it is one of the club
   * @param place so far; empty without a result
   * @param wrong what is wrong with what was typed; null for nothing
   */
  public record EntryRow(long athlete, String name, boolean mine, boolean withdrawn, List<FieldView> fields, String seen,
      String words,
      String place, String points, @Nullable String wrong, AthleteView.@Nullable DiffersView differs, String key) {}

  /** A figure of a result. */
  public record FieldView(String key, String label, String value) {}
}
