/** The science of Vivarium: plain Java, without pages, database or framework. */
package garden.vivarium.core;
