import { plainToInstance } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { isObject, memberPath, MOST_FAULTS, plainFaults, shown, type Fault } from './plain';

/**
 * A plain value as an instance of its model, absent parts filled with the model's own defaults; or every fault in it:
 * nulls, unknown fields, and values no field allows. Never throws.
 */
export function validated<T extends object>(model: new () => T, input: unknown): { value: T } | { faults: Fault[] } {
  if (!isObject(input)) return { faults: [{ path: '$', wrong: `is ${shown(input)}`, expected: 'an object' }] };
  const shape = plainFaults(input);
  if (shape.length > 0) return { faults: shape };
  const value = plainToInstance(model, input, { exposeDefaultValues: true });
  const errors = validateSync(value, {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    stopAtFirstError: true,
    validationError: { target: false },
  });
  if (errors.length > 0) return { faults: errors.flatMap((error) => faultsOf(error, '$')).slice(0, MOST_FAULTS) };
  return { value };
}

function faultsOf(error: ValidationError, path: string): Fault[] {
  const at = memberPath(path, error.property);
  if (error.children && error.children.length > 0) return error.children.flatMap((child) => faultsOf(child, at));
  const [kind, expected] = Object.entries(error.constraints ?? {})[0] ?? ['', 'a valid value'];
  if (kind === 'whitelistValidation') return [{ path: at, wrong: 'is not a known field', expected: 'a known field' }];
  return [{ path: at, wrong: error.value === undefined ? 'is missing' : `is ${shown(error.value)}`, expected }];
}
