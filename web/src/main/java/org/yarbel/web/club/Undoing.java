package org.yarbel.web.club;

/** Takes back changes of one kind of thing, and does them again. */
public interface Undoing {
  /**
   * What became of it.
   *
   * @param done whether it was done
   * @param sentence what was done, or why not
   */
  record UndoOutcome(boolean done, String sentence) {
    /** It was done. */
    public static UndoOutcome done(String sentence) {
      return new UndoOutcome(true, sentence);
    }

    /** Nothing was touched. */
    public static UndoOutcome refused(String sentence) {
      return new UndoOutcome(false, sentence);
    }
  }

  /** What it takes back. */
  Change.Subject subject();

  /** Takes a change back where things still stand as it left them. */
  UndoOutcome undo(Change change);

  /** Does a change again that was taken back. */
  UndoOutcome redo(Change change);
}
