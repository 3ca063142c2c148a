<?php

declare(strict_types=1);

$finder = (new PhpCsFixer\Finder())
    ->in([__DIR__.'/src', __DIR__.'/tests', __DIR__.'/bench', __DIR__.'/migrations', __DIR__.'/config'])
    ->append([__FILE__, __DIR__.'/public/index.php', __DIR__.'/bin/lib/versions.php']);

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setRules([
        '@Symfony' => true,
        '@Symfony:risky' => true,
        'array_indentation' => true,
        'concat_space' => ['spacing' => 'none'],
        'declare_strict_types' => true,
        'global_namespace_import' => ['import_classes' => false],
        'method_argument_space' => ['on_multiline' => 'ensure_fully_multiline'],
        'method_chaining_indentation' => true,
        'multiline_promoted_properties' => true,
        'native_constant_invocation' => true,
        'php_unit_method_casing' => ['case' => 'camel_case'],
        'phpdoc_align' => false,
        'phpdoc_summary' => false,
        'phpdoc_to_comment' => false,
        'single_line_throw' => false,
        'trailing_comma_in_multiline' => ['elements' => ['arrays', 'arguments', 'match', 'parameters']],
    ])
    ->setFinder($finder)
    ->setCacheFile(__DIR__.'/var/.php-cs-fixer.cache');
