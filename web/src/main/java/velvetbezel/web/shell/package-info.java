/** What every page has: who is there, safe answers, errors in words, numbers in words. */
package velvetbezel.web.shell;
