/**
 * Long work over many lifters, such as refitting their plans: kept in the database, done one lifter a transaction by a few
 * threads, gone on with after a restart, and shown with its progress. A kind of work implements {@link
 * org.yarbel.web.job.JobWork}.
 */
@NullMarked
package org.yarbel.web.job;

import org.jspecify.annotations.NullMarked;

