<?php

declare(strict_types=1);

return [
    'bench' => ['path' => './assets/scripts/bench.js', 'entrypoint' => true],
];
