<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="theme-color" content="#F6F1E6">
    <meta name="robots" content="noindex">
    <meta name="referrer" content="no-referrer">
    <title>At home</title>
    <link rel="icon" href="/sparrow.svg" type="image/svg+xml">
    <link rel="apple-touch-icon" href="/icon-192.png">
    <link rel="manifest" href="/at-home.webmanifest">
    @vite('resources/js/at-home/main.tsx', 'build-home')
</head>
<body>
    <div id="root"></div>
    <noscript>This page needs JavaScript: the timer runs in it.</noscript>
</body>
</html>
