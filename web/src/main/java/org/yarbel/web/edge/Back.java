package org.yarbel.web.edge;

import java.util.regex.Pattern;

/** Pages of ours that somebody is sent back to. */
public final class Back {
  private static final Pattern OURS = Pattern.compile("/(?:[\\w.~%+:,@=&?-][\\w.~/%+:,@=&?-]*)?");
  private static final int MOST = 500;

  private Back() {}

  /** The page wanted when it is one of ours, else the start: nobody is sent elsewhere by an address that somebody made. */
  public static String to(String wanted) {
    return wanted.length() <= MOST && OURS.matcher(wanted).matches() ? wanted : "/";
  }
}
