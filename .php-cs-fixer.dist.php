<?php

declare(strict_types=1);

$finder = (new PhpCsFixer\Finder())
    ->in([__DIR__.'/core/src', __DIR__.'/core/tests', __DIR__.'/src', __DIR__.'/tests', __DIR__.'/config', __DIR__.'/migrations', __DIR__.'/public'])
    ->exclude(['assets', 'bundles'])
    // Symfony writes this one itself.
    ->notPath('reference.php');

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setRules([
        '@Symfony' => true,
        '@Symfony:risky' => true,
        'declare_strict_types' => true,
        'yoda_style' => ['equal' => true, 'identical' => true, 'less_and_greater' => false],
        'phpdoc_to_comment' => false,
        'phpdoc_align' => false,
        'phpdoc_summary' => false,
        'single_line_throw' => false,
        'concat_space' => ['spacing' => 'none'],
        'increment_style' => ['style' => 'pre'],
        'nullable_type_declaration_for_default_null_value' => true,
        'native_function_invocation' => ['include' => ['@compiler_optimized'], 'scope' => 'namespaced'],
        'method_argument_space' => ['on_multiline' => 'ignore'],
        'php_unit_method_casing' => false,
    ])
    ->setCacheFile(__DIR__.'/var/.php-cs-fixer.cache')
    ->setParallelConfig(new PhpCsFixer\Runner\Parallel\ParallelConfig(2, 40))
    ->setFinder($finder);
