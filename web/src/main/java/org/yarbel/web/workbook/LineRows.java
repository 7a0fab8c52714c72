package org.yarbel.web.workbook;

import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Which line a row of a workbook belongs to, and which part of it. */
final class LineRows {
  private final Map<String, Placed> rows = new HashMap<>();
  private final Map<WorkbookRecord.LineNote, Map<Integer, Integer>> rowsOfPart = new IdentityHashMap<>();

  /**
   * A row of a line.
   *
   * @param alone whether the part has no other row: all its sets weigh the same
   */
  record Placed(WorkbookRecord.LineNote line, int part, boolean alone) {}

  LineRows(List<WorkbookRecord.Note> notes) {
    WorkbookRecord.LineNote line = null;
    for (WorkbookRecord.Note note : notes) {
      if (note instanceof WorkbookRecord.LineNote first) {
        line = first;
        place(note, line, first.part());
      } else if (note instanceof WorkbookRecord.MoreNote more && line != null) {
        place(note, line, more.part());
      }
    }
  }

  private void place(WorkbookRecord.Note note, WorkbookRecord.LineNote line, int part) {
    rows.put(key(note), new Placed(line, part, true));
    rowsOfPart.computeIfAbsent(line, own -> new HashMap<>()).merge(part, 1, Integer::sum);
  }

  /** Where a load stands; empty where no line does. */
  Optional<Placed> of(WorkbookRecord.LoadNote load) {
    return Optional.ofNullable(rows.get(key(load)))
        .map(placed -> new Placed(placed.line(), placed.part(), rowsOfPart.get(placed.line()).get(placed.part()) == 1));
  }

  private static String key(WorkbookRecord.Note note) {
    return note.sheet() + "/" + note.row();
  }
}
