/**
 * What the stations of a job share: {@link velvetbezel.web.job.JobOpener} opens a job with everything computed from it,
 * {@link velvetbezel.web.job.Frame} stands round each page, {@link velvetbezel.web.job.Changes} writes.
 */
package velvetbezel.web.job;
