/**
 * Keeps sheets, jobs and people in PostgreSQL, and turns JSON documents into core records.
 *
 * <p>Entry points: {@link velvetbezel.store.Library} (sheets), {@link velvetbezel.store.Jobs} (jobs, their log,
 * undo), {@link velvetbezel.store.JobArchive} (a job as one ZIP). jOOQ's types stay in this module.
 */
package velvetbezel.store;
