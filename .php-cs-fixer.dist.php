<?php

declare(strict_types=1);

$finder = (new PhpCsFixer\Finder())->in([__DIR__.'/src', __DIR__.'/tests', __DIR__.'/bench', __DIR__.'/migrations', __DIR__.'/config'])->append([__FILE__, __DIR__.'/public/index.php']);

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setRules([
        '@Symfony' => true,
        '@Symfony:risky' => true,
        'declare_strict_types' => true,
        'phpdoc_to_comment' => false,
        'phpdoc_align' => false,
        'phpdoc_summary' => false,
        'single_line_throw' => false,
        'concat_space' => ['spacing' => 'none'],
        'native_constant_invocation' => true,
        'global_namespace_import' => ['import_classes' => false],
        'php_unit_method_casing' => ['case' => 'camel_case'],
    ])
    ->setFinder($finder)
    ->setCacheFile(__DIR__.'/var/.php-cs-fixer.cache');
