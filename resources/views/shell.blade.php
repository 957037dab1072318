<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <script>{!! \App\Http\EarlyScript::text() !!}</script>
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="theme-color" content="#F6F1E6">
    <meta name="robots" content="noindex">
    <meta name="csp-nonce" content="{{ Vite::cspNonce() }}">
    <title>Fleet Sparrow</title>
    <link rel="icon" href="/sparrow.svg" type="image/svg+xml">
    <link rel="apple-touch-icon" href="/icon-192.png">
    <link rel="manifest" href="/manifest.webmanifest">
    @viteReactRefresh
    @vite(...\App\Http\FirstView::of($path ?? ''))
</head>
<body>
    <div id="root"></div>
    <noscript>Fleet Sparrow needs JavaScript: the clock and the counters run in the page.</noscript>
</body>
</html>
