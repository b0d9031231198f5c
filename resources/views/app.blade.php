<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    <meta name="csp-nonce" property="csp-nonce" nonce="{{ Vite::cspNonce() }}" content="{{ Vite::cspNonce() }}">
    <title>Neat Almanac</title>
    <link rel="icon" href="data:,">
    @vite('resources/js/main.tsx')
</head>
<body>
    <div id="root"></div>
    <noscript>Neat Almanac needs JavaScript. Please allow it for this address.</noscript>
</body>
</html>
