const { TestEnvironment } = require('jest-environment-node')

/**
 * A test file has a module registry of its own, so that each file loads the large packages anew: for the tests of the server
 * that takes longer than most of the tests. Here they are loaded once for a worker of Jest and handed to each of its files;
 * modules of Fleam stay apart. A package loaded outside makes its errors, dates and patterns with the constructors outside,
 * so the tests use these too, else `instanceof` would tell them apart.
 */
class SharedPackagesEnvironment extends TestEnvironment {
  constructor(config, context) {
    super(config, context)
    Object.assign(this.global, { requireShared: require, Error, TypeError, RangeError, SyntaxError, Date })
  }
}

module.exports = SharedPackagesEnvironment
