<?php

declare(strict_types=1);

namespace Olvek\Page\Help;

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Service\Drawing\CataloguePicture;
use Olvek\Service\Drawing\View;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Translation\TranslatorBagInterface;

/** What each page is for, what keepers ask most, and what the words of the trade mean. */
final class HelpController extends AbstractController
{
    /** translations/help.LOCALE.yaml */
    private const DOMAIN = 'help';

    #[Route('/help', name: 'help', methods: ['GET'])]
    public function show(#[Autowire(service: 'translator')] TranslatorBagInterface $translations, Catalogue $catalogue): Response
    {
        /** @var array<string, string> $texts */
        $texts = $translations->getCatalogue()->all(self::DOMAIN);
        $sections = [];
        foreach ($texts as $key => $text) {
            [$section, $entry, $part] = explode('.', $key);
            $sections[$section][$entry][$part] = $text;
        }

        return $this->render('help/help.html.twig', [
            'pages' => $sections['pages'],
            'questions' => $sections['questions'],
            'terms' => array_map(
                static fn (array $entries): array => array_map(
                    static fn (array $entry): array => [...$entry, 'drawing' => self::drawing($catalogue, $entry['picture'] ?? '')],
                    $entries,
                ),
                array_diff_key($sections, ['pages' => '', 'questions' => '']),
            ),
        ]);
    }

    /** @param string $kind id of a plant that shows what is meant; '' for none */
    private static function drawing(Catalogue $catalogue, string $kind): ?View
    {
        return '' === $kind ? null : CataloguePicture::plant($catalogue->plants[$kind]);
    }
}
