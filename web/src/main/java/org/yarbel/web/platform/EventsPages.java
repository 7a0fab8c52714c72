package org.yarbel.web.platform;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.contest.strongman.ContestedEvent;
import org.yarbel.core.contest.strongman.EventKind.Field;
import org.yarbel.core.contest.strongman.EventResult;
import org.yarbel.core.contest.strongman.EventTable;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.ContestAthlete;

/** Works out the screen of who runs the results of a strongman contest. */
@Service
class EventsPages {
  private final ContestDays days;
  private final DayPages pages;

  EventsPages(ContestDays days, DayPages pages) {
    this.days = days;
    this.pages = pages;
  }

  /**
   * What is looked at, and what was refused of it.
   *
   * @param event null for the next
   * @param category null for the first
   * @param athlete whose entry was refused; 0 for none
   * @param typed what was typed of it
   */
  record Wanted(@Nullable Integer event, @Nullable String category, long athlete, Map<String, String> typed, @Nullable String wrong,
      AthleteView.@Nullable DiffersView differs) {
    static Wanted of(@Nullable Integer event, @Nullable String category) {
      return new Wanted(event, category, 0, Map.of(), null, null);
    }
  }

  @Transactional(readOnly = true)
  public EventsView view(long contestId, Wanted wanted) {
    Day day = days.day(contestId);
    List<String> categories = day.categories();
    String first = categories.isEmpty() ? "" : categories.get(0);
    String category = wanted.category() != null && categories.contains(wanted.category()) ? wanted.category() : first;
    int count = day.contest().said().events().size();
    int event = wanted.event() != null && wanted.event() >= 1 && wanted.event() <= count ? wanted.event()
        : Math.min(day.eventsOver(category) + 1, Math.max(count, 1));
    List<ContestedEvent> events = day.events();
    LocalDate on = day.contest().day();
    List<String> cautions = day.athletes().stream().flatMap(athlete -> AthletePages.cautions(day, athlete).stream()).toList();
    String kind = count == 0 ? null : events.get(event - 1).kind().meaning();
    return new EventsView(contestId, day.contest().name(), DayPages.date(on), tabs(day, event, category), event, kind, categories,
        category, count == 0 ? List.of() : entries(day, category, event, wanted),
        StrongmanPages.standing(day, category, day.overall(category), 0), pages.notes(day), day.athletes().size(), cautions);
  }

  private static List<EventsView.EventTab> tabs(Day day, int here, String category) {
    List<EventsView.EventTab> tabs = new ArrayList<>();
    for (Contest.ContestEvent event : day.contest().said().events()) {
      int number = tabs.size() + 1;
      int done = (int) day.of(category).stream().filter(one -> day.results().getOrDefault(one.id(), Map.of()).containsKey(number)).count();
      tabs.add(new EventsView.EventTab(number, day.lift(event.lift()), event.work(), number == here, done));
    }
    return tabs;
  }

  private static List<EventsView.EntryRow> entries(Day day, String category, int event, Wanted wanted) {
    ContestedEvent contested = day.events().get(event - 1);
    EventTable table = day.eventTable(category, event);
    List<EventsView.EntryRow> rows = new ArrayList<>();
    for (ContestAthlete athlete : day.of(category)) {
      EventResult result = day.results().getOrDefault(athlete.id(), Map.of()).get(event);
      EventTable.Placed placed = table.of(Day.key(athlete));
      boolean refused = athlete.id() == wanted.athlete();
      boolean has = placed.place() > 0;
      String place = placed.place() + (placed.sharers() > 1 ? "=" : "");
      rows.add(new EventsView.EntryRow(athlete.id(), day.name(athlete), athlete.ours(), athlete.said().withdrawn(),
          figures(contested, result, refused ? wanted.typed() : null), result == null ? "" : Kept.of(result),
          result == null ? "" : PlatformLog.words(result), has ? place : "", has ? placed.points().toString() : "",
          refused ? wanted.wrong() : null, refused ? wanted.differs() : null, UUID.randomUUID().toString()));
    }
    return rows;
  }

  private static List<EventsView.FieldView> figures(ContestedEvent event, @Nullable EventResult result,
      @Nullable Map<String, String> typed) {
    return event.kind().fields().stream().map(field -> new EventsView.FieldView(field.name(), field.word(),
        typed == null ? value(field, result) : typed.getOrDefault(field.name(), ""))).toList();
  }

  private static String value(Field field, @Nullable EventResult result) {
    if (field == Field.LOAD) {
      return result == null || result.load() == null ? "" : result.load().number();
    }
    BigDecimal number = result == null ? null : result.numbers().get(field);
    return number == null ? "" : number.stripTrailingZeros().toPlainString();
  }

  /** What somebody did in each event, in words; for the summary. */
  static List<String> words(Day day, ContestAthlete athlete) {
    List<ContestedEvent> events = day.events();
    return day.results().getOrDefault(athlete.id(), Map.of()).entrySet().stream().sorted(Map.Entry.comparingByKey())
        .map(one -> events.get(one.getKey() - 1).name() + " " + PlatformLog.words(one.getValue())).toList();
  }
}
