package org.yarbel.web.library;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.plan.Groups;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.edit.Batches;
import org.yarbel.web.edit.NewLine;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.Details;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Keeps days, weeks and blocks of a lifter as templates, and writes templates into the days of others. */
@Service
public class Library {
  static final int MOST_WEEKS = 26;

  private final TemplateRepository templates;
  private final TemplateFormat format;
  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final Batches batches;
  private final Lifts lifts;

  Library(TemplateRepository templates, TemplateFormat format, TrainingSessionRepository sessions, SlotRepository slots, Batches batches,
      Lifts lifts) {
    this.templates = templates;
    this.format = format;
    this.sessions = sessions;
    this.slots = slots;
    this.batches = batches;
    this.lifts = lifts;
  }

  /** A template in the list. */
  public record TemplateRow(long id, String name, String scope, int weeks, int lines, boolean gone) {}

  @Transactional(readOnly = true)
  List<TemplateRow> all() {
    return templates.findAllByOrderByName().stream().map(template -> {
      TemplateDocument document = format.stored(template.document());
      return new TemplateRow(template.id(), template.name(), template.scope().word(), document.weeks().size(),
          document.lineCount(), template.gone());
    }).toList();
  }

  Template template(long id) {
    return templates.findById(id).orElseThrow(NotFound::new);
  }

  /** Keeps weeks of a lifter; a sentence when it cannot. */
  @Transactional
  public Optional<String> keepWeeks(Lifter lifter, LocalDate monday, int weeks, String name) {
    return keep(lifter, monday, 7 * weeks, weeks == 1 ? Template.Scope.WEEK : Template.Scope.BLOCK, name);
  }

  /** Keeps days of a lifter; a sentence when it cannot. */
  @Transactional
  Optional<String> keep(Lifter lifter, LocalDate from, int days, Template.Scope scope, String name) {
    List<TrainingSession> all = sessions.findByLifterIdAndDayBetweenOrderByDay(lifter.id(), from, from.plusDays(days - 1L));
    Map<Long, List<Slot>> lines = slots.findBySessionIdInOrderByPositionAscIdAsc(all.stream().map(TrainingSession::id).toList()).stream()
        .collect(Collectors.groupingBy(Slot::sessionId));
    if (lines.isEmpty()) {
      return Optional.of("Nothing is written there to keep.");
    }
    List<TemplateDocument.TemplateWeek> weeks = new ArrayList<>();
    Set<String> keys = new TreeSet<>();
    for (int week = 0; week < (days + 6) / 7; week++) {
      LocalDate monday = from.plusWeeks(week);
      weeks.add(new TemplateDocument.TemplateWeek(all.stream().filter(s -> !s.day().isBefore(monday) && s.day()
          .isBefore(monday.plusWeeks(1)) && lines.containsKey(s.id()))
          .map(s -> day(s, lines.get(s.id()), keys)).toList()));
    }
    return store(new TemplateDocument(TemplateDocument.FORMAT, TemplateDocument.VERSION, name.strip(), null, scope.word(),
        names(keys), weeks));
  }

  private Map<String, String> names(Set<String> keys) {
    Map<String, String> names = new TreeMap<>();
    keys.forEach(key -> lifts.catalogue().ofKey(key).ifPresent(lift -> names.put(key, lift.name())));
    return names;
  }

  private static TemplateDocument.TemplateDay day(TrainingSession session, List<Slot> lines, Set<String> keys) {
    Groups groups = session.groups();
    List<Slot> own = lines.stream().filter(slot -> slot.linkOf() == null).toList();
    List<TemplateDocument.GroupOf> used = own.stream().map(Slot::groupNo).filter(Objects::nonNull).distinct()
        .filter(number -> groups.group(number) != null)
        .map(number -> TemplateDocument.GroupOf.of(number, groups.group(number), again(number, lines))).toList();
    own.forEach(slot -> keys.add(slot.lift()));
    return new TemplateDocument.TemplateDay(session.day().getDayOfWeek().getValue(), used.isEmpty() ? null : used, own.stream()
        .map(slot -> new TemplateDocument.TemplateLine(slot.kind().word(),
        slot.lift(), slot.work(), slot.groupNo(), slot.details().optional() ? Boolean.TRUE : null, slot.details().reason(), slot.details()
            .cues(), slot.details().mind())).toList());
  }

  /** The part in which a group is done a second time; null where it is not. */
  private static @Nullable SlotKind again(int number, List<Slot> lines) {
    return lines.stream().filter(slot -> Objects.equals(slot.groupNo(), number)).map(slot -> NewLine.again(slot, lines))
        .filter(Objects::nonNull).findFirst()
        .orElse(null);
  }

  /** Keeps a template under its name; a sentence when it cannot. */
  @Transactional
  Optional<String> store(TemplateDocument document) {
    String name = document.name();
    if (name.isEmpty() || name.length() > 80) {
      return Optional.of("Write a name of 1 to 80 characters.");
    }
    if (templates.findByName(name).isPresent()) {
      return Optional.of("There is a template '" + name + "' already: choose another name.");
    }
    templates.save(new Template(name, Template.Scope.valueOf(document.scope().toUpperCase(Locale.ROOT)), format.write(document)));
    return Optional.empty();
  }

  /** The lifts of a template that this club does not have. */
  Set<String> unknown(TemplateDocument document) {
    Catalogue catalogue = lifts.catalogue();
    return document.liftKeys().stream().filter(key -> catalogue.ofKey(key).isEmpty()).collect(Collectors.toCollection(TreeSet::new));
  }

  /** The same with every lift known here; percentages of another lift follow. */
  TemplateDocument mapped(TemplateDocument document, Map<String, Lift> by) {
    Map<String, String> keys = new HashMap<>();
    by.forEach((key, lift) -> keys.put(key, lift.key()));
    TemplateDocument mapped = document.with(keys, Map.of());
    return mapped.with(Map.of(), names(mapped.liftKeys()));
  }

  /** Writes a template into the days of a lifter from a day on: a session on that day, weeks from its Monday. */
  @Transactional
  Batches.BatchWritten use(Template template, Lifter lifter, LocalDate from, boolean replace, SignedIn who) {
    TemplateDocument document = format.stored(template.document());
    LocalDate monday = Macrocycle.monday(from);
    List<NewLine> lines = new ArrayList<>();
    for (int week = 0; week < document.weeks().size(); week++) {
      for (TemplateDocument.TemplateDay day : document.weeks().get(week).days()) {
        LocalDate on = template.scope() == Template.Scope.SESSION ? from : monday.plusWeeks(week).plusDays(day.day() - 1L);
        Map<Integer, TemplateDocument.GroupOf> groups = day.groups() == null ? Map.of() : day.groups().stream()
            .collect(Collectors.toMap(TemplateDocument.GroupOf::number, group -> group));
        day.lines().forEach(line -> {
          TemplateDocument.GroupOf group = line.group() == null ? null : groups.get(line.group());
          lines.add(new NewLine(on, line.kind(), line.lift(), line.work(),
              new Details(Boolean.TRUE.equals(line.optional()), null, null, null, null, line.reason(), line.cues(), line.mind(), null),
              group == null ? null : group.group(), group == null ? null : group.secondTime()));
        });
      }
    }
    return replace ? batches.replace(lifter, lines, who) : batches.add(lifter, lines, who);
  }

  /** Takes a template out, or brings it back. */
  @Transactional
  void take(long id, boolean out) {
    Template template = template(id);
    template.take(out);
    templates.save(template);
  }
}
