/**
 * A job: what it says of one car, its kit and the work on it, what each change means for the rest, and what is built
 * from it. Pages, archive, undo and whoever sends changes later all go by this.
 */
package velvetbezel.job;
