/**
 * A job from arrival to hand-over. {@link velvetbezel.web.job.JobOpener} opens a job with everything computed
 * from it; one service per station makes its view; {@link velvetbezel.web.job.Changes} writes.
 */
package velvetbezel.web.job;
