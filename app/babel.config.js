module.exports = function (api) {
  const tested = api.env('test');
  return {
    presets: [['babel-preset-expo', { jsxImportSource: 'nativewind' }], 'nativewind/babel'],
    // Jest runs CommonJS, where code that comes late is required.
    plugins: tested ? ['@babel/plugin-transform-dynamic-import'] : [],
  };
};
