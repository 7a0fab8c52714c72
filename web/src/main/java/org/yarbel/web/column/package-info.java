/**
 * How values of the core are stored in single columns: sets of weekdays, names with commas between, small documents. An entity
 * names the converter at its field and knows nothing of the text. {@link org.yarbel.web.column.CoreJson} is the one mapper of
 * what is stored as a document. Everything may use it; it uses the core alone.
 */
@NullMarked
package org.yarbel.web.column;

import org.jspecify.annotations.NullMarked;
