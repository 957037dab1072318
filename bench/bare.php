<?php

declare(strict_types=1);

// The floor: PHP and one query, no framework.
$database = new PDO((string) $_SERVER['BENCH_DSN'], 'sparrow', (string) $_SERVER['BENCH_PASSWORD']);
header('Content-Type: application/json');
$answer = $database->query('SELECT 1');
echo json_encode(['one' => $answer === false ? null : $answer->fetchColumn()]);
