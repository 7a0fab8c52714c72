/**
 * Long work over many, such as refitting plans: kept in the database, done one piece a transaction by a few threads, gone on
 * with after a restart or by another node, and shown with its progress. A kind of work implements {@link
 * org.yarbel.web.job.JobWork}: it names its pieces by texts of its own and its own screen. Only coaches; work is of the club
 * of who asks. {@link org.yarbel.web.job.Due} does what is due again and again for one of many, such as looking at a lifter after each
 * set. It may use account and club.
 */
@NullMarked
package org.yarbel.web.job;

import org.jspecify.annotations.NullMarked;

