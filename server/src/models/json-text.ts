import { DataTypes, type Model, type ModelAttributeColumnOptions } from 'sequelize';

/**
 * A column of JSON text. MariaDB keeps JSON as text, and parsing it here keeps every number exactly as it was saved.
 * @param name the attribute's name
 */
export function jsonText(name: string, allowNull = false): ModelAttributeColumnOptions {
  return {
    type: DataTypes.TEXT('long'),
    allowNull,
    get(this: Model) {
      const text: unknown = this.getDataValue(name);
      return typeof text === 'string' ? JSON.parse(text) : null;
    },
    set(this: Model, value: unknown) {
      this.setDataValue(name, value === null || value === undefined ? null : JSON.stringify(value));
    },
  };
}
