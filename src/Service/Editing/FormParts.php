<?php

declare(strict_types=1);

namespace Olvek\Service\Editing;

use Olvek\Service\Tank\Tank;
use Twig\Attribute\AsTwigFunction;
use Twig\Environment;

/** Parts of forms that many pages have: a field with its label, unit and fault; a button that takes proposed changes. */
final class FormParts
{
    /** @param string $form id of the form that the field belongs to */
    #[AsTwigFunction('field', needsEnvironment: true, isSafe: ['html'])]
    public static function field(Environment $twig, FieldView $field, string $form = 'edit'): string
    {
        return $twig->render('editing/_field.html.twig', ['field' => $field, 'form' => $form]);
    }

    /**
     * @param array<string, string> $edits  typed text by place
     * @param string                $spoken what the label alone does not say to those who hear it
     * @param string                $words  HTML before the button
     */
    #[AsTwigFunction('apply', needsEnvironment: true, isSafe: ['html'])]
    public static function apply(
        Environment $twig,
        Tank $tank,
        array $edits,
        string $label,
        string $spoken = '',
        string $words = '',
    ): string {
        return $twig->render('editing/_apply.html.twig', [
            'tank' => $tank,
            'edits' => $edits,
            'label' => $label,
            'spoken' => $spoken,
            'words' => $words,
        ]);
    }
}
