/** The library: lists of vehicles, radios and parts, one sheet with its plugs, new sheets, import and export. */
package velvetbezel.web.library;
