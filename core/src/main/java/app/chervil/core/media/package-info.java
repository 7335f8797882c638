/** Bags, foams and baskets of bio media: where each has been, and what its bacteria are worth. Read Holdings first. */
package app.chervil.core.media;
