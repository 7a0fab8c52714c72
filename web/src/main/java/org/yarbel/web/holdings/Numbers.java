package org.yarbel.web.holdings;

import java.util.Arrays;
import java.util.function.LongUnaryOperator;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * The numbers of rows on their way. In an archive they are 1, 2, 3 and so on in the order of the rows' own, so that the same club gives the
 * same archive wherever it is; coming in, each gets a new one of the house, in the same order again. 0 stays 0.
 */
final class Numbers {
  /** How many numbers the database hands out at once: the sequence goes on by so many. */
  private static final int BLOCK = 50;

  private Numbers() {}

  /** From the house's own to those of an archive. */
  static LongUnaryOperator going(long[] all) {
    long[] sorted = Arrays.stream(all).filter(one -> one > 0).sorted().distinct().toArray();
    return own -> own <= 0 ? 0 : Arrays.binarySearch(sorted, own) + 1L;
  }

  /** From those of an archive, of which there are so many, to new ones of the house. */
  static LongUnaryOperator coming(JdbcClient jdbc, int count) {
    long[] blocks = jdbc.sql("select nextval('yarbel_id') from generate_series(1, :blocks) order by 1").param("blocks",
        (count + BLOCK - 1) / BLOCK).query(Long.class).list().stream().mapToLong(Long::longValue).sorted().toArray();
    return rank -> rank <= 0 || rank > count ? 0
        : blocks[(int) ((rank - 1) / BLOCK)] - BLOCK + 1 + (rank - 1) % BLOCK;
  }
}
