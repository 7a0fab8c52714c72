package org.yarbel.core.records;

import java.util.List;
import org.yarbel.core.mass.MassUnit;

/**
 * How a table of old records is read.
 *
 * @param columns what each column is, from the left; further ones are nothing
 * @param heads what stands above them; a column of a lift is called by it
 * @param order in which days are written
 * @param commas whether a comma is the decimal sign, so that a point parts thousands
 * @param unit of loads that say none
 */
public record Layout(List<Meaning> columns, List<String> heads, DayOrder order, boolean commas, MassUnit unit) {
  public Layout {
    columns = List.copyOf(columns);
    heads = List.copyOf(heads);
  }

  /** What a column is. */
  public Meaning column(int at) {
    return at < columns.size() ? columns.get(at) : Meaning.NOTHING;
  }

  /** What stands above a column; empty for nothing. */
  public String head(int at) {
    return at < heads.size() ? heads.get(at) : "";
  }

  /** Whether any column is of a kind. */
  public boolean has(Meaning meaning) {
    return columns.contains(meaning);
  }
}
