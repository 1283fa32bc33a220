<?php

declare(strict_types=1);

namespace Olvek\Tests;

use Olvek\Service\Speech\Speech;
use Symfony\Component\Translation\Loader\YamlFileLoader;
use Symfony\Component\Translation\Translator;

/** Speech without the application around it. */
final class PlainSpeech
{
    public static function make(): Speech
    {
        $translator = new Translator('en');
        $translator->addLoader('yaml', new YamlFileLoader());
        $domain = Speech::DOMAIN.'+intl-icu';
        $translator->addResource('yaml', \dirname(__DIR__)."/translations/$domain.en.yaml", 'en', $domain);

        return new Speech($translator);
    }
}
