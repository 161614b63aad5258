/** Match: complete kits beside each other, substitutes, extras, goods-in, the quote. */
package velvetbezel.web.match;
