/** The library's pages: lists of vehicles, radios and parts, one sheet with its plugs, import and export. */
package velvetbezel.web.library;
