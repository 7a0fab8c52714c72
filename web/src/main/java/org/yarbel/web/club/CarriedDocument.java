package org.yarbel.web.club;

import java.util.function.LongUnaryOperator;

/** A stored document that names rows by their numbers: it says how it reads when the rows have other numbers. */
public interface CarriedDocument {
  /** The table it stands in. */
  String table();

  /** The column. */
  String column();

  /** The same document with other numbers. */
  String with(String document, LongUnaryOperator number);
}
