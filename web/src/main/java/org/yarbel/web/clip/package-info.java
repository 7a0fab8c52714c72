/**
 * Clips of sets: sent in pieces that go on after a break ({@link org.yarbel.web.clip.ClipUploads}), kept beside the database under
 * their SHA-256 ({@link org.yarbel.web.clip.ClipStore}), served to who may see the lifter, within a club's room and days ({@link
 * org.yarbel.web.clip.Clips}). What a clip is, its bytes say, never its name. It may use club, log and plan.
 */
@NullMarked
package org.yarbel.web.clip;

import org.jspecify.annotations.NullMarked;
