<?php

declare(strict_types=1);

namespace Olvek\Core\Nature\Animal;

/** What an animal looks like, so that it is drawn as itself. Nothing is computed from it. */
final readonly class AnimalLook
{
    /** @param Coat $second colour of its marks */
    public function __construct(
        public BodyForm $form,
        public TailForm $tail,
        public Coat $coat,
        public Coat $second,
        public CoatPattern $pattern,
    ) {
    }
}
