<?php

declare(strict_types=1);

return [
    'bench' => ['path' => './assets/scripts/bench.js', 'entrypoint' => true],
    'plans' => ['path' => './assets/scripts/plans.js', 'entrypoint' => true],
    'log' => ['path' => './assets/scripts/log.js', 'entrypoint' => true],
    'album' => ['path' => './assets/scripts/album.js', 'entrypoint' => true],
    'remind' => ['path' => './assets/scripts/remind.js', 'entrypoint' => true],
    'photos' => ['path' => './assets/scripts/photos.js', 'entrypoint' => true],
    'compare' => ['path' => './assets/scripts/compare.js', 'entrypoint' => true],
    'refresh' => ['path' => './assets/scripts/refresh.js', 'entrypoint' => true],
    'filling' => ['path' => './assets/scripts/filling.js', 'entrypoint' => true],
    'today' => ['path' => './assets/scripts/today.js', 'entrypoint' => true],
];
