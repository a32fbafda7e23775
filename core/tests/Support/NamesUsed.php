<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

/** Every class that a PHP file names, in full: by its tokens, however it is imported or written. */
final class NamesUsed
{
    private const NAMES = [T_STRING, T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED, T_NAME_RELATIVE];

    private string $namespace = '';

    /** @var array<string, string> full names by what they are called in this file */
    private array $imports = [];

    /** @var array<string, true> */
    private array $found = [];

    /** @param  list<\PhpToken>  $tokens  without space and comments */
    private function __construct(private readonly array $tokens) {}

    /** @return list<string> without a leading backslash; what the file's own namespace holds only where it is qualified */
    public static function in(string $code): array
    {
        $tokens = array_filter(\PhpToken::tokenize($code), static fn (\PhpToken $token): bool => ! $token->isIgnorable());
        $self = new self(array_values($tokens));
        $self->read();

        return array_keys($self->found);
    }

    private function read(): void
    {
        $depth = 0;
        for ($i = 0; $i < count($this->tokens); $i++) {
            $token = $this->tokens[$i];
            $depth += match ($token->text) {
                '{', '${' => 1,
                '}' => -1,
                default => 0,
            };
            if ($token->is(T_CURLY_OPEN)) {
                // Closed by a plain brace.
                continue;
            }
            if ($token->is(T_NAMESPACE) && $this->tokens[$i + 1]->is(self::NAMES)) {
                $this->namespace = $this->tokens[++$i]->text;
            } elseif ($token->is(T_USE) && $depth === 0) {
                $i = $this->import($i + 1);
            } elseif ($token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED, T_NAME_RELATIVE])) {
                $this->found[$this->inFull($token)] = true;
            }
        }
    }

    /** Reads what follows a `use` up to its semicolon; gives the place of that. */
    private function import(int $i): int
    {
        $prefix = $name = '';
        for (; $this->tokens[$i]->text !== ';'; $i++) {
            $token = $this->tokens[$i];
            if ($token->text === '{') {
                $prefix = $name;
            } elseif ($token->is(T_AS)) {
                $this->imports[$this->tokens[++$i]->text] = $name;
            } elseif ($token->is(self::NAMES)) {
                $name = $prefix.ltrim($token->text, '\\');
                // The prefix of a group is no import of its own.
                if ($this->tokens[$i + 1]->is(T_NS_SEPARATOR)) {
                    $name .= '\\';
                } else {
                    $this->imports[(string) preg_replace('/^.*\\\\/', '', $name)] = $name;
                    $this->found[$name] = true;
                }
            }
        }

        return $i;
    }

    private function inFull(\PhpToken $token): string
    {
        if ($token->is(T_NAME_FULLY_QUALIFIED)) {
            return ltrim($token->text, '\\');
        }
        if ($token->is(T_NAME_RELATIVE)) {
            return $this->namespace.substr($token->text, strlen('namespace'));
        }
        [$first, $rest] = explode('\\', $token->text, 2);

        return ($this->imports[$first] ?? "$this->namespace\\$first").'\\'.$rest;
    }
}
