/** The list of jobs: find one, open a new one, save and bring in archives. */
package velvetbezel.web.board;
