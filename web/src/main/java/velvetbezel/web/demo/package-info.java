/** The workshop that a first start shows. */
package velvetbezel.web.demo;
