package org.yarbel.web.club;

/** Takes back changes of one kind of thing, and does them again. */
public interface Undoing {
  /**
   * What became of it.
   *
   * @param done whether it was done
   * @param sentence what was done, or why not
   */
  record Outcome(boolean done, String sentence) {
    /** It was done. */
    public static Outcome done(String sentence) {
      return new Outcome(true, sentence);
    }

    /** Nothing was touched. */
    public static Outcome refused(String sentence) {
      return new Outcome(false, sentence);
    }
  }

  /** What it takes back. */
  Change.Subject subject();

  /** Takes a change back where things still stand as it left them. */
  Outcome undo(Change change);

  /** Does a change again that was taken back. */
  Outcome redo(Change change);
}
