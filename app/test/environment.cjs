require('./style-rules.cjs');

module.exports = require('jest-environment-jsdom').default;
